import { randomUUID } from 'node:crypto';
import type { ImportView } from '../../contracts/imports';
import type { NewTaping } from './tapings.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { measuresAnswers } from './measures.answers';

/** Imports under way, in memory: what was not stored by the time the server ends has never happened. */
export interface Job {
  readonly id: string;
  readonly by: number | null;
  readonly startedAt: number;
  view: ImportView;
  ready: readonly NewTaping[];
  isCancelled: boolean;
}

const jobs = new Map<string, Job>();
const keepMs = 30 * 60_000;

class Cancelled extends Error {}

/** Lets other requests through. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

function forgetOldJobs(now: number): void {
  for (const [id, job] of jobs) if (now - job.startedAt > keepMs) jobs.delete(id);
}

export const findJob = (id: string, actor: Actor) => {
  const job = jobs.get(id);
  return job && job.by === actor.therapistId ? job : undefined;
};

/** @returns the import as it stands, or undefined for one that is over or somebody else's */
export const readImport = (id: string, actor: Actor): ImportView | undefined => findJob(id, actor)?.view;

/** An import of which nothing has been read yet. */
export function openJob(actor: Actor): Job {
  const startedAt = actor.now.getTime();
  forgetOldJobs(startedAt);
  const id = randomUUID();
  const job: Job = {
    ...{ id, by: actor.therapistId, startedAt, isCancelled: false, ready: [] },
    view: {
      ...{ id, state: 'reading', share: 0, rows: 0, girths: 0, tapings: 0, clients: 0 },
      ...{ troubles: [], troubleCount: 0, sample: [], message: '' },
    },
  };
  jobs.set(id, job);
  return job;
}

/** Stops an import; what it had begun to store is taken back. */
export function cancelImport(id: string, actor: Actor): { readonly kind: 'saved' } | SaveRefusal {
  const job = findJob(id, actor);
  if (!job) return { kind: 'not-found' };
  job.isCancelled = true;
  if (job.view.state === 'checked') job.view = { ...job.view, state: 'cancelled' };
  return { kind: 'saved' };
}

/** Carries a part of it out; what goes wrong is told by the import itself. */
export async function run(job: Job, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const isCancelled = error instanceof Cancelled;
    job.view = {
      ...job.view,
      state: isCancelled ? 'cancelled' : 'failed',
      message: isCancelled
        ? measuresAnswers.stoppedNothingWasBroughtIn
        : measuresAnswers.somethingWentWrongNothingWasBrought,
    };
    job.ready = [];
  }
}

/** Tells how far it has come, lets other requests through, and ends here if it was cancelled. */
export async function pause(job: Job, progress: Partial<ImportView>): Promise<void> {
  job.view = { ...job.view, ...progress };
  await breathe();
  if (job.isCancelled) throw new Cancelled();
}
