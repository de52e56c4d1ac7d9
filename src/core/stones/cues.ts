import type { Rotation, StoneUse } from './rotation';
import { stonesSays } from './stones.says';

/** Something to do with stones at a moment of the plan. */
export interface StoneCue {
  /** Seconds from the beginning of the plan; below 0 before it begins. */
  readonly atS: number;
  readonly words: string;
}

/** `palm 1 and 2`, `edge 3`. */
function named(uses: readonly StoneUse[]): string {
  const byClass = new Map<string, string[]>();
  for (const { stone } of uses) {
    const at = stone.lastIndexOf('-');
    const name = stone.slice(0, at).replaceAll('-', ' ');
    byClass.set(name, [...(byClass.get(name) ?? []), stone.slice(at + 1)]);
  }
  return [...byClass].map(([name, numbers]) => `${name} ${numbers.join(' and ')}`).join(', ');
}

/** When to take stones out and when to swap them, in the order of time; what happens at one moment is one cue. */
export function cuesOf({ uses }: Pick<Rotation, 'uses'>): readonly StoneCue[] {
  const runs = new Map<string, StoneUse[]>();
  for (const use of uses) {
    const key = `${use.step} ${use.run}`;
    runs.set(key, [...(runs.get(key) ?? []), use]);
  }
  const cues = [...runs.values()].flatMap((own): StoneCue[] => {
    const [first] = own;
    if (!first) return [];
    const before = runs.get(`${first.step} ${first.run - 1}`);
    const takeOut = { atS: first.outS, words: stonesSays.takeOutOfTheBath(named(own)) };
    return before
      ? [takeOut, { atS: first.fromS, words: stonesSays.swapToIntoTheBath(named(own), named(before)) }]
      : [takeOut];
  });
  const last = [...runs.values()].flatMap((own): StoneCue[] => {
    const [first] = own;
    if (!first || runs.has(`${first.step} ${first.run + 1}`)) return [];
    return [{ atS: first.toS, words: stonesSays.putBackIntoTheBath(named(own)) }];
  });
  const merged = new Map<number, string[]>();
  for (const { atS, words } of [...cues, ...last]) merged.set(atS, [...(merged.get(atS) ?? []), words]);
  return [...merged]
    .map(([atS, words]) => ({ atS, words: [...new Set(words)].join(' ') }))
    .sort((a, b) => a.atS - b.atS);
}

const aheadS = 30;
/** Longer than a stone rests before use: whoever is ahead of the plan still sees what to take. */
const behindS = 20;

/** The cue that counts now: about to come, or just come. @param planS where the plan stands (s) */
export function cueAt(cues: readonly StoneCue[], planS: number): (StoneCue & { readonly inS: number }) | undefined {
  const cue = cues.find(({ atS }) => atS > planS - behindS && atS - planS <= aheadS);
  return cue && { ...cue, inS: Math.max(0, Math.round(cue.atS - planS)) };
}

/** Long enough to be spoken; then place and count go on (s). */
const spokenS = 4;

/** Whether a cue is said aloud now: as it comes, not while it still stands to be read. */
export const isSaidNow = ({ atS }: StoneCue, planS: number): boolean => planS >= atS && planS < atS + spokenS;
