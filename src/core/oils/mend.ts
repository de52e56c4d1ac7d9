import type { OilId } from '../ids';
import type { Millilitres } from '../quantities';
import { formatNumber } from '../units';
import { exceeds } from '../statistics';
import { list } from '../drainage/wording';
import { dropsPerMlOf } from './amounts';
import type { BlendPart, OilBook } from './book';
import { oilOf } from './book';
import { judge } from './check';
import type { BlendCase } from './blend-case';
import { judgedArea, reasonsToAvoid } from './client';
import { dropsText } from './finding-words';
import { oilLimit } from './limits';
import { capitalise } from '../wording/capitalise';
import { oilsSays } from './oils.says';

export interface Change {
  readonly oil: OilId;
  readonly from: number;
  readonly to: number;
}

export interface Mended {
  readonly parts: readonly BlendPart[];
  readonly changes: readonly Change[];
  /** Where it takes more medium to keep every oil; absent where the bottle stays as it is. */
  readonly volumeMl?: Millilitres;
  /** The exact change, in words. */
  readonly words: string;
}

/**
 * The same blend made safe: oils that the client avoids are taken out, and drops go where they pass a limit or what is
 * usual, no drop more than has to. Where that would cost an oil that may stay, more medium comes first.
 * @returns null when nothing is wrong with it
 */
export function makeSafe(book: OilBook, input: BlendCase): Mended | null {
  if (isSafe(book, input, input.parts)) return null;
  const parts = safeParts(book, input);
  return (losesAny(book, input, parts) ? withMoreMedium(book, input) : undefined) ?? mendedBy(book, input.parts, parts);
}

/** An oil that the client may have has no drop left. */
const losesAny = (book: OilBook, input: BlendCase, parts: readonly BlendPart[]): boolean =>
  parts.some(
    ({ oil, drops }, i) =>
      drops === 0 &&
      (input.parts[i]?.drops ?? 0) > 0 &&
      reasonsToAvoid(oilOf(book, oil), input.client, input.area, book).length === 0,
  );

/** How many times the bottle may be larger, in what steps (mL). */
const mostLarger = 3;
const volumeStepMl = 0.5;
const stepsTried = 40;

/** The smallest larger bottle in which every oil keeps a drop. */
function withMoreMedium(book: OilBook, input: BlendCase): Mended | undefined {
  const most = input.volumeMl * mostLarger;
  const stepMl = volumeStepMl * Math.ceil((most - input.volumeMl) / stepsTried / volumeStepMl);
  for (let volumeMl = input.volumeMl + stepMl; volumeMl <= most; volumeMl += stepMl) {
    const larger = { ...input, volumeMl };
    const parts = safeParts(book, larger);
    if (losesAny(book, larger, parts)) continue;
    const mended = mendedBy(book, input.parts, parts);
    const inWords = oilsSays.mlInsteadOf(formatNumber(volumeMl), formatNumber(input.volumeMl));
    return { ...mended, volumeMl, words: mended.changes.length > 0 ? `${inWords}; ${mended.words}` : `${inWords}.` };
  }
  return undefined;
}

function safeParts(book: OilBook, input: BlendCase): readonly BlendPart[] {
  let parts = input.parts.map((part): BlendPart => {
    const oil = oilOf(book, part.oil);
    if (reasonsToAvoid(oil, input.client, input.area, book).length > 0) return { ...part, drops: 0 };
    const limit = oilLimit(oil, judgedArea(input.client, input.area));
    if (limit === null) return part;
    const most = Math.floor((limit / 100) * input.volumeMl * dropsPerMlOf(book, part) + 1e-9);
    return { ...part, drops: Math.min(part.drops, most) };
  });
  for (let at = worstPart(book, input, parts); at >= 0; at = worstPart(book, input, parts))
    parts = moved(parts, at, -1);
  return giveBack(book, input, parts);
}

/** Drops that went and need not have gone come back, those first that lost most. */
function giveBack(book: OilBook, input: BlendCase, parts: BlendPart[]): BlendPart[] {
  const kept = (at: number) => (parts[at]?.drops ?? 0) / Math.max(1, input.parts[at]?.drops ?? 1);
  const back = input.parts
    .map((_, at) => at)
    .filter((at) => (parts[at]?.drops ?? 0) < (input.parts[at]?.drops ?? 0))
    .sort((a, b) => kept(a) - kept(b))
    .find((at) => isSafe(book, input, moved(parts, at, 1)));
  return back === undefined ? parts : giveBack(book, input, moved(parts, back, 1));
}

const moved = (parts: readonly BlendPart[], at: number, by: number): BlendPart[] =>
  parts.map((part, i) => (i === at ? { ...part, drops: part.drops + by } : part));

function isSafe(book: OilBook, input: BlendCase, parts: readonly BlendPart[]): boolean {
  const { verdict, withinGuide } = judge(book, { ...input, parts });
  return verdict !== 'over' && withinGuide;
}

const tiny = 1e-6;

/** The part that a drop has to be taken from next; −1 when all limits hold. */
function worstPart(book: OilBook, input: BlendCase, parts: readonly BlendPart[]): number {
  const { constituents, phototoxic, withinGuide, parts: doses } = judge(book, { ...input, parts });
  const most = (weight: (at: number) => number): number =>
    parts.reduce((best, part, at) => (part.drops > 0 && weight(at) > (best < 0 ? 0 : weight(best)) ? at : best), -1);
  const over = constituents.find(
    ({ percent, limitPercent }) => limitPercent !== null && exceeds(percent, limitPercent),
  );
  if (over) {
    return most((at) => {
      const oil = oilOf(book, parts[at]?.oil ?? '');
      const share = oil.constituents.find(({ id }) => id === over.id);
      return (share?.[`${input.basis}Percent`] ?? 0) * (doses[at]?.percent ?? 0);
    });
  }
  if (exceeds(phototoxic.sumOfFractions, 1)) {
    return most((at) => {
      const { phototoxic: sun } = oilOf(book, parts[at]?.oil ?? '');
      return sun ? (doses[at]?.percent ?? 0) / sun.maxLeaveOnPercent : 0;
    });
  }
  // Above what is usual: from those that kept most, so that the scent stays what it was; a last drop goes last.
  return withinGuide
    ? -1
    : most((at) => {
        const drops = parts[at]?.drops ?? 0;
        return drops === 1 ? tiny : drops / Math.max(1, input.parts[at]?.drops ?? 1);
      });
}

export function mendedBy(book: OilBook, before: readonly BlendPart[], after: readonly BlendPart[]): Mended {
  const changes = after.flatMap((part): Change[] => {
    const from = before.find(({ oil }) => oil === part.oil)?.drops ?? 0;
    return from === part.drops ? [] : [{ oil: part.oil, from, to: part.drops }];
  });
  return { parts: after.filter(({ drops }) => drops > 0), changes, words: changesInWords(book, changes) };
}

/** “Lavender 9 → 7, no ylang ylang”. */
function changesInWords(book: OilBook, changes: readonly Change[]): string {
  if (changes.length === 0) return oilsSays.nothingToChange;
  const words = changes.map(({ oil, from, to }) => {
    const name = oilOf(book, oil).name;
    if (to === 0) return oilsSays.out(name);
    if (from === 0) return `${dropsText(to)} of ${name}`;
    return `${name} ${from} → ${to}`;
  });
  return `${capitalise(list(words))}.`;
}
