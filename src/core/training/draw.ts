import { seededRandom } from '../random';

/** What a case is drawn with: the same seed draws the same on every machine. */
export interface Draw {
  /** A whole number from `least` to `most`, both included. */
  readonly whole: (least: number, most: number) => number;
  readonly pick: <T>(from: readonly T[]) => T;
  readonly some: <T>(from: readonly T[], count: number) => readonly T[];
  readonly shuffled: <T>(from: readonly T[]) => readonly T[];
  readonly isLikely: (share: number) => boolean;
  /** About normal, with a spread of one (Irwin–Hall: twelve even numbers, less six). */
  readonly scatter: () => number;
}

/** Mixes numbers into one seed (FNV-1a over their bytes). */
function seedOf(parts: readonly (string | number)[]): number {
  let hash = 0x811c9dc5;
  for (const letter of parts.join('/')) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193);
  return hash >>> 0;
}

export function drawOf(...parts: readonly (string | number)[]): Draw {
  const random = seededRandom(seedOf(parts));
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const shuffled = <T>(from: readonly T[]): readonly T[] => {
    const out = [...from];
    for (let i = out.length - 1; i > 0; i -= 1) {
      const j = whole(0, i);
      [out[i], out[j]] = [out[j] as T, out[i] as T];
    }
    return out;
  };
  return {
    whole,
    shuffled,
    pick: <T>(from: readonly T[]) => from[whole(0, from.length - 1)] as T,
    some: (from, count) => shuffled(from).slice(0, count),
    isLikely: (share) => random() < share,
    scatter: () => Array.from({ length: 12 }, random).reduce((sum, one) => sum + one, -6),
  };
}
