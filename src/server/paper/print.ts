import { Piscina } from 'piscina';
import { programBeside } from '../shared/program-beside';
import type { papers, PaperId, PaperTask } from './papers';

const built = programBeside('paper');
const mostMemoryMb = 512;

let pool: Piscina<PaperTask, Uint8Array> | undefined;

/**
 * A paper as PDF, printed in a thread of its own: laying out and drawing takes a second or two, and nobody else waits
 * for it. Papers are printed one after the other.
 */
export async function print<Id extends PaperId>(paper: Id, ...given: Parameters<(typeof papers)[Id]>): Promise<Buffer> {
  const task = { paper, given } as PaperTask;
  // Without a build, in tests and while developing, there is no thread yet.
  if (built === undefined) return (await import('./papers')).printHere(task);
  pool ??= new Piscina<PaperTask, Uint8Array>({
    filename: built,
    ...{ minThreads: 0, maxThreads: 1, concurrentTasksPerWorker: 1, idleTimeout: 60_000 },
    resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
  });
  return Buffer.from(await pool.run(task));
}
