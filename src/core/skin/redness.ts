import type { Minutes } from '../quantities';
/** Looks at the skin after the work (minutes) at which redness may be seen to have gone back. */
export const looksAfterMinutes = [5, 15, 30] as const;
const expectedToFadeWithinMinutes = 30;
const concernAfterMinutes = 60;

/** Redness 0–4 before and after; null: not looked at. */
export interface Redness {
  readonly before: number | null;
  readonly after: number | null;
  /** Minutes back to the grade before; `not-yet` at the last look; null: not looked. */
  readonly fadedAfterMinutes: Minutes | 'not-yet' | null;
}

export type RednessVerdict = 'none' | 'expected' | 'watch' | 'reaction' | 'unknown';

const reactionRise = 3;

/** Faded within 30 minutes is expected; three grades more, or still there after an hour, is a reaction. */
export function judgeRedness({ before, after, fadedAfterMinutes }: Redness): RednessVerdict {
  if (after === null) return 'unknown';
  const rise = after - (before ?? 0);
  if (rise <= 0) return 'none';
  if (rise >= reactionRise) return 'reaction';
  if (fadedAfterMinutes === null) return 'unknown';
  if (fadedAfterMinutes === 'not-yet') return 'watch';
  if (fadedAfterMinutes > concernAfterMinutes) return 'reaction';
  return fadedAfterMinutes <= expectedToFadeWithinMinutes ? 'expected' : 'watch';
}
