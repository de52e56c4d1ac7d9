import { RequestError, send } from '../api';
import { forgetKeptViews } from '../kept-views';
import { unsentPresses, wipePresses } from '../table/event-store';
import { countDrafts, wipeDrafts, writerOfPage } from './device-drafts';

/** How much of what somebody did on this device the house still lacks. */
export async function countUnsent(): Promise<number> {
  const writer = writerOfPage();
  return writer ? (await countDrafts(writer)) + (await unsentPresses(writer.owner)).length : 0;
}

/** Ends the session in the house; one that has ended already, as by the clock, is no reason to stay. */
export async function endSession(): Promise<void> {
  await send('DELETE /api/session').catch((refused: unknown) => {
    if (!(refused instanceof RequestError) || refused.status !== 401) throw refused;
  });
}

/** A browser that is busy or stuck may not hold anybody back: what it still has is sealed for its writer. */
const patienceMs = 5000;

/**
 * Nothing of somebody's work stays on a device that they leave.
 * @returns whether the browser was done in time
 */
export async function wipeDevice(
  wipes: readonly (() => Promise<void>)[] = [forgetKeptViews, wipeUnsent],
  withinMs = patienceMs,
): Promise<boolean> {
  const done = Promise.allSettled(wipes.map((wipe) => wipe())).then((all) =>
    all.every(({ status }) => status === 'fulfilled'),
  );
  const late = new Promise<boolean>((resolve) => setTimeout(() => resolve(false), withinMs));
  return Promise.race([done, late]);
}

async function wipeUnsent(): Promise<void> {
  const writer = writerOfPage();
  if (!writer) return;
  await wipeDrafts(writer);
  await wipePresses(writer.owner);
}
