import { mlOf } from './amounts';
import type { BlendPart, NoteId, OilBook } from './book';
import { noteIds, oilOf } from './book';

/** When each note is at its strongest (h after it is spread). A drawing of what noses tell, not a measurement. */
const peakHours: Readonly<Record<NoteId, number>> = { top: 0.2, middle: 1, base: 4 };

export interface NoteCurve {
  readonly note: NoteId;
  readonly oils: readonly string[];
  /** Part of the whole scent (0–1): by what is in it and how strongly it smells. */
  readonly share: number;
  /** Strength at each hour of `unfoldHours`, beside the strongest moment of the strongest note (0–1). */
  readonly strength: readonly number[];
}

/** Hours of the drawing, closer together at the beginning. */
export const unfoldHours: readonly number[] = Array.from({ length: 49 }, (_, i) => 8 * (i / 48) ** 2);

/** How a blend is smelled from the moment it is spread: each note rises and fades in its own time. */
export function unfold(book: OilBook, parts: readonly BlendPart[]): readonly NoteCurve[] {
  const weight = (part: BlendPart) => mlOf(book, part) * oilOf(book, part.oil).odourIntensity;
  const all = parts.reduce((sum, part) => sum + weight(part), 0);
  const groups = noteIds.map((note) => {
    const own = parts.filter((part) => part.drops > 0 && oilOf(book, part.oil).note === note);
    const share = all === 0 ? 0 : own.reduce((sum, part) => sum + weight(part), 0) / all;
    return { note, oils: own.map(({ oil }) => oil), share };
  });
  const most = Math.max(...groups.map(({ share }) => share), 1e-9);
  return groups.map((group) => ({
    ...group,
    strength: unfoldHours.map((hours) => (group.share / most) * shapeAt(hours / peakHours[group.note])),
  }));
}

/** Rises to 1 at x = 1 and fades. */
const shapeAt = (x: number) => x * Math.exp(1 - x);
