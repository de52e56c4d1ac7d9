import { type PaperTask, printHere } from './papers';

/** Prints one paper in a thread of its own; `print.ts` starts it. */
export default async (task: PaperTask): Promise<Uint8Array> => new Uint8Array(await printHere(task));
