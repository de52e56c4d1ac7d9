import type { Millilitres } from '../quantities';
import type { OilId } from '../ids';
import type { Candidate } from './best/blend-problem';
import type { Area, NoteId, OilBook, UseId } from './book';
import { noteIds, oilOf } from './book';
import { totalRange } from './best/blend-problem';
import { guideOf, isSensitive, type OilClient, reasonsToAvoid } from './client';

/** An oil on the shelf. */
export interface Shelved {
  readonly oil: OilId;
  readonly leftMl: Millilitres;
  readonly dropsPerMl: number | null;
  readonly centsPerMl: number;
}

export interface ShortlistWish {
  readonly area: Area;
  readonly client: OilClient;
  readonly uses: readonly UseId[];
  /** As they were written down. */
  readonly likes: string;
  readonly dislikes: string;
}

const mostCandidates = 9;
const mostDrops = 60;
/** An oil with a lower limit than this (%) is for those who ask for it, not for a proposal. */
const delicatePercent = 3;
/** How a scent is usually shared out over its notes. */
export const usualNotes: Readonly<Record<NoteId, number>> = { top: 0.3, middle: 0.5, base: 0.2 };
const usualPercent: Readonly<Record<Area, number>> = { body: 2, face: 0.7, local: 3, bath: 1.5 };

/**
 * What to aim at for a client: what is usual in the area, or less where the client's guide is stricter. Whole drops may
 * come out a little above the aim, and not even then above the guide.
 */
export const targetPercentFor = (book: OilBook, client: OilClient, area: Area): number =>
  Math.min(usualPercent[area], guideOf(book, client, area).maxPercent / totalRange.most);

/** An oil of the shelf as a candidate: what it costs, how many drops there are. */
export function candidateOf(book: OilBook, { oil, leftMl, dropsPerMl, centsPerMl }: Shelved): Candidate {
  const perMl = dropsPerMl ?? oilOf(book, oil).dropsPerMl;
  return {
    oil,
    costPerDrop: centsPerMl / perMl,
    maxDrops: Math.min(mostDrops, Math.floor(leftMl * perMl + 1e-9)),
    dropsPerMl: dropsPerMl ?? undefined,
  };
}

/**
 * Oils of the shelf worth choosing from: those that serve what is wanted, with some of every note; nothing that the
 * client avoids or dislikes.
 */
export function shortlist(book: OilBook, shelf: readonly Shelved[], wish: ShortlistWish): readonly Candidate[] {
  const { area, client, uses, likes, dislikes } = wish;
  const able = shelf
    .map((entry) => ({ entry, oil: oilOf(book, entry.oil), candidate: candidateOf(book, entry) }))
    .filter(
      ({ oil, candidate }) =>
        candidate.maxDrops > 0 &&
        reasonsToAvoid(oil, client, area, book).length === 0 &&
        !isMentioned(dislikes, oil.name, oil.odourFamily),
    )
    .map((one) => ({ ...one, points: pointsOf(one.oil) }))
    .sort((a, b) => b.points - a.points || a.oil.id.localeCompare(b.oil.id));
  // The best two of each note first, so that a scent can be balanced; then whatever serves best.
  const balanced = noteIds.flatMap((note) =>
    able.filter(({ oil, points }) => oil.note === note && points >= 0).slice(0, 2),
  );
  const rest = able.filter((one) => !balanced.includes(one) && one.points > 0);
  return [...balanced, ...rest].slice(0, mostCandidates).map(({ candidate }) => candidate);

  function pointsOf(oil: ReturnType<typeof oilOf>): number {
    const served = uses.filter((use) => oil.uses.includes(use)).length;
    const mild = oil.skinTypes.includes('sensitive') || oil.sensitiser === 'none' || oil.irritant === 'none';
    return (
      3 * served +
      (isMentioned(likes, oil.name, oil.odourFamily) ? 2 : 0) +
      (isSensitive(client) && mild ? 1 : 0) -
      (oil.sensitiser === 'moderate' || oil.sensitiser === 'high' ? 0.5 : 0) -
      (oil.dermalMaxPercent !== null && oil.dermalMaxPercent < delicatePercent ? 3 : 0)
    );
  }
}

/** Whether a text names an oil, or the family of its scent: “rose” names the rose, “mint” peppermint, “citrus” every citrus. */
export function isMentioned(text: string, name: string, family: string): boolean {
  const said = words(text);
  const main = words(name).filter((word) => !commonWords.includes(word));
  return said.some(
    (word) =>
      main.some((own) => own === word || (word.length > 3 && own.endsWith(word))) ||
      words(family).some((own) => own.startsWith(word)),
  );
}

const commonWords = ['sweet', 'atlas', 'roman', 'german', 'black', 'australian', 'expressed', 'distilled', 'without'];

const words = (text: string) =>
  text
    .toLowerCase()
    .split(/[^a-zà-ÿ]+/)
    .filter((word) => word.length > 2)
    .map((word) => word.replace(/(?<=.{3})wood$/, ''));
