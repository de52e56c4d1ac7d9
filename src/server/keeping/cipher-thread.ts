import { Worker } from 'node:worker_threads';
import { programBeside } from '../shared/program-beside';
import { changeCipher, type CipherProgress, copySealed } from './cipher';
import type { CipherTask } from './cipher.worker';

const built = programBeside('cipher');

/** Has pages encrypted beside the house; without a build, in tests, it is done here. */
export function inCipherThread(
  task: CipherTask,
  tell: (progress: CipherProgress) => void = () => undefined,
): Promise<void> {
  if (built === undefined) return here(task, tell);
  return new Promise((resolve, reject) => {
    const worker = new Worker(built, { workerData: task });
    worker.on('message', tell);
    worker.once('error', reject);
    worker.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(`the thread ended with ${code}`))));
  });
}

async function here(task: CipherTask, tell: (progress: CipherProgress) => void): Promise<void> {
  if (task.kind === 'copy') copySealed(task.file, task.key, task.copy, task.copyKey);
  else await changeCipher(task, tell);
}
