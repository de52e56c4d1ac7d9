import { randomUUID } from 'node:crypto';
import { log } from '../log';
import type { Actor, SaveRefusal } from '../shared/saving';

/** What everybody who waits for long work is told. */
export interface JobView {
  readonly id: string;
  readonly state: string;
  /** 0–1 of the step under way. */
  readonly share: number;
  readonly message: string;
}

/** Long work of one person, in memory: what was not stored by the time the server ends has never happened. */
export interface Job<V extends JobView, R> {
  readonly id: string;
  readonly by: number | null;
  readonly startedAt: number;
  view: V;
  /** What was read and waits to be stored. */
  ready: R;
  isCancelled: boolean;
}

const keepMs = 30 * 60_000;
/** So long others wait at most, before it is their turn. */
const longestHoldMs = 8;

class Cancelled extends Error {}

/** Lets other requests through. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

/** The jobs of one kind; each is its own person’s only, and is forgotten after half an hour. */
export class Jobs<V extends JobView, R> {
  readonly #jobs = new Map<string, Job<V, R>>();
  #breathedAt = 0;

  constructor(
    private readonly blank: Omit<V, 'id'>,
    private readonly nothing: R,
    private readonly says: { readonly stopped: string; readonly failed: string },
  ) {}

  /** A job of which nothing has been done yet. */
  open(actor: Actor): Job<V, R> {
    const startedAt = actor.now.getTime();
    for (const [id, job] of this.#jobs) if (startedAt - job.startedAt > keepMs) this.#jobs.delete(id);
    const id = randomUUID();
    const view = { ...this.blank, id } as V;
    const job: Job<V, R> = { id, by: actor.therapistId, startedAt, isCancelled: false, ready: this.nothing, view };
    this.#jobs.set(id, job);
    return job;
  }

  find(id: string, actor: Actor): Job<V, R> | undefined {
    const job = this.#jobs.get(id);
    return job && job.by === actor.therapistId ? job : undefined;
  }

  /** @returns the job as it stands, or undefined for one that is over or somebody else's */
  read(id: string, actor: Actor): V | undefined {
    return this.find(id, actor)?.view;
  }

  /** Stops a job; what it had begun to store is taken back. */
  cancel(id: string, actor: Actor): { readonly kind: 'saved' } | SaveRefusal {
    const job = this.find(id, actor);
    if (!job) return { kind: 'not-found' };
    job.isCancelled = true;
    if (job.view.state === 'checked') {
      job.view = { ...job.view, state: 'cancelled' };
      job.ready = this.nothing;
    }
    return { kind: 'saved' };
  }

  /** Carries a part of it out; what goes wrong is told by the job itself, in these words. */
  async run(job: Job<V, R>, work: () => Promise<void>, says = this.says): Promise<void> {
    try {
      await work();
    } catch (error) {
      const isCancelled = error instanceof Cancelled;
      if (!isCancelled) log.error({ err: error }, 'long work ended early');
      job.view = {
        ...job.view,
        state: isCancelled ? 'cancelled' : 'failed',
        message: isCancelled ? says.stopped : says.failed,
      };
      job.ready = this.nothing;
    }
  }

  /**
   * Tells how far it has come, lets other requests through, and ends here if it was cancelled. Called as often as one
   * likes: it breathes only when it has held the others up for some milliseconds.
   */
  async pause(job: Job<V, R>, progress: () => Partial<V>): Promise<void> {
    if (!job.isCancelled && performance.now() - this.#breathedAt < longestHoldMs) return;
    job.view = { ...job.view, ...progress() };
    await breathe();
    this.#breathedAt = performance.now();
    if (job.isCancelled) throw new Cancelled();
  }
}
