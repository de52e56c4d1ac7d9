import type { Minutes } from '../quantities';
/** What is known of the skin after a treatment. */
export interface SkinAfter {
  /** When the treatment ended, ISO; null: it has not. */
  readonly endedAt: string | null;
  /** 0–4; null: not looked at. */
  readonly redness: number | null;
  readonly rednessBefore: number | null;
  /** Minutes until it was back; −1: not yet at the last look; null: not looked again. */
  readonly fadeMinutes: Minutes | null;
}

const lookAfterMinutes = 10;

/**
 * When the skin has to be looked at again: ten minutes after the end, where it has reddened, or was not looked at.
 * @returns the time as ISO; null when there is nothing to look at, or it was read
 */
export function lookAgainAt({ endedAt, redness, rednessBefore, fadeMinutes }: SkinAfter): string | null {
  if (endedAt === null) return null;
  const hasRisen = redness !== null && redness > (rednessBefore ?? 0);
  const isRead = redness !== null && (!hasRisen || fadeMinutes !== null);
  return isRead ? null : new Date(Date.parse(endedAt) + lookAfterMinutes * 60_000).toISOString();
}
