import { describe, expect, it } from 'vitest';
import { type JobView, Jobs } from './jobs';

interface View extends JobView {
  readonly done: number;
}
const now = new Date(2026, 10, 25, 8, 0);
const ida = { therapistId: 1, now };
const bo = { therapistId: 2, now };
const says = { stopped: 'Stopped.', failed: 'Failed.' };
const open = () => new Jobs<View, readonly number[]>({ state: 'reading', share: 0, done: 0, message: '' }, [], says);
/** Works until it is told otherwise, holding others up for a few milliseconds each time. */
async function workOn(jobs: ReturnType<typeof open>, job: ReturnType<ReturnType<typeof open>['open']>, rounds: number) {
  for (let i = 0; i < rounds; i += 1) {
    const until = performance.now() + 3;
    while (performance.now() < until);
    await jobs.pause(job, () => ({ share: i / rounds, done: i }));
  }
}

describe('long work', () => {
  it('is seen by whoever began it and by nobody else', () => {
    const jobs = open();
    const job = jobs.open(ida);
    expect(jobs.read(job.id, ida)).toEqual({ id: job.id, state: 'reading', share: 0, done: 0, message: '' });
    expect(jobs.read(job.id, bo)).toBeUndefined();
    expect(jobs.cancel(job.id, bo)).toEqual({ kind: 'not-found' });
  });

  it('tells how far it has come, and lets others in meanwhile', async () => {
    const jobs = open();
    const job = jobs.open(ida);
    let turns = 0;
    const others = setInterval(() => (turns += 1), 0);
    await jobs.run(job, () => workOn(jobs, job, 30));
    clearInterval(others);
    expect(turns).toBeGreaterThan(5);
    expect(job.view.done).toBeGreaterThan(20);
  });

  it('stops where it is when it is cancelled, and lets go of what it held', async () => {
    const jobs = open();
    const job = jobs.open(ida);
    job.ready = [1, 2];
    const running = jobs.run(job, () => workOn(jobs, job, 1000));
    jobs.cancel(job.id, ida);
    await running;
    expect(job.view).toMatchObject({ state: 'cancelled', message: 'Stopped.' });
    expect(job.ready).toEqual([]);
  });

  it('that waits for a decision is cancelled at once', () => {
    const jobs = open();
    const job = jobs.open(ida);
    job.view = { ...job.view, state: 'checked' };
    expect(jobs.cancel(job.id, ida)).toEqual({ kind: 'saved' });
    expect(jobs.read(job.id, ida)?.state).toBe('cancelled');
  });

  it('that goes wrong says so in words, and holds nothing any more', async () => {
    const jobs = open();
    const job = jobs.open(ida);
    job.ready = [1];
    await jobs.run(job, () => Promise.reject(new Error('the disk')));
    expect(job.view).toMatchObject({ state: 'failed', message: 'Failed.' });
    expect(job.ready).toEqual([]);
  });

  it('is forgotten after half an hour', () => {
    const jobs = open();
    const old = jobs.open(ida);
    const later = { ...ida, now: new Date(now.getTime() + 31 * 60_000) };
    jobs.open(later);
    expect(jobs.read(old.id, ida)).toBeUndefined();
  });
});
