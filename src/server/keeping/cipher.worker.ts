import { parentPort, workerData } from 'node:worker_threads';
import { type CipherChange, changeCipher, copySealed } from './cipher';

/** What is done in a thread of its own, so that the house can say how far it is. */
export type CipherTask =
  | ({ readonly kind: 'change' } & CipherChange)
  | {
      readonly kind: 'copy';
      readonly file: string;
      readonly key: Buffer;
      readonly copy: string;
      readonly copyKey: Buffer;
    };

/** Keys come over as plain bytes. */
const bytes = (key: Uint8Array) => Buffer.from(key);

async function run(task: CipherTask): Promise<void> {
  if (task.kind === 'copy') {
    copySealed(task.file, bytes(task.key), task.copy, bytes(task.copyKey));
    return;
  }
  const { from, to } = task;
  const change = { ...task, from: from && bytes(from), to: to && { ...to, key: bytes(to.key) } };
  await changeCipher(change, (progress) => parentPort?.postMessage(progress));
}

if (parentPort) await run(workerData as CipherTask);
