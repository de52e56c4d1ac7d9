import { unsentPresses, wipePresses } from '../table/event-store';
import { countDrafts, wipeDrafts, writerOfPage } from './device-drafts';

/** How much of what somebody did on this device the house still lacks. */
export async function countUnsent(): Promise<number> {
  const writer = writerOfPage();
  return writer ? (await countDrafts(writer)) + (await unsentPresses(writer.owner)).length : 0;
}

/** Nothing of somebody's work stays on a device that they leave. */
export async function wipeUnsent(): Promise<void> {
  const writer = writerOfPage();
  if (!writer) return;
  await wipeDrafts(writer);
  await wipePresses(writer.owner);
}
