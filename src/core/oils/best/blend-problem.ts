import type { Drops, Millilitres, Percent } from '../../quantities';
import type { OilId } from '../../ids';
import { exceeds, isBelow, slack } from '../../statistics';
import { dropsPerMlOf } from '../amounts';
import type { Area, NoteId, OilBook, UseId } from '../book';
import { noteIds, oilOf } from '../book';
import { guideOf, judgedArea, type OilClient, reasonsToAvoid } from '../client';
import { constituentLimit, oilLimit } from '../limits';

/** An oil that may be taken. */
export interface Candidate {
  readonly oil: OilId;
  /** In the house's smallest coin. */
  readonly costPerDrop: number;
  /** What the bottle still holds, or a wish. */
  readonly maxDrops: Drops;
  readonly dropsPerMl?: number | undefined;
}

export interface BestBlendCase {
  readonly volumeMl: Millilitres;
  readonly area: Area;
  readonly client: OilClient;
  readonly candidates: readonly Candidate[];
  readonly wanted: readonly { readonly use: UseId; readonly weight: number }[];
  /** Wished share of each note (0–1); null: no wish. */
  readonly notes: Readonly<Record<NoteId, number>> | null;
  readonly targetPercent: Percent;
  readonly maxOils: number;
}

/** How far the total may lie from the target, as a share of it. */
export const totalRange = { least: 0.95, most: 1.05 } as const;

/** What a merit is made of. */
export const merits = { useSaturation: 0.5, note: 0.5, oil: 0.02, cost: 0.0005, total: 0.2 } as const;

/** A sum over the drops that must not pass 1. */
export interface Packing {
  readonly kind: 'oil' | 'constituent' | 'sun';
  readonly id: string;
  /** Of each candidate, a drop's share of the limit. */
  readonly perDrop: readonly number[];
}

/** A blend to find, in numbers: one row for each candidate. */
export interface BlendProblem {
  readonly oils: readonly string[];
  /** A drop's share of the target. */
  readonly share: readonly number[];
  readonly most: readonly number[];
  readonly cost: readonly number[];
  /** Index into the notes. */
  readonly note: readonly number[];
  /** Indices into the wanted uses. */
  readonly uses: readonly (readonly number[])[];
  /** Weights that sum to 1. */
  readonly weights: readonly number[];
  readonly wishedNotes: readonly number[] | null;
  readonly packings: readonly Packing[];
  readonly maxOils: number;
}

/** The candidates as numbers; oils that the client avoids cannot be taken, but keep their place in the order. */
export function blendProblem(book: OilBook, input: BestBlendCase): BlendProblem {
  const { volumeMl, client, candidates, wanted, notes, targetPercent } = input;
  const area = judgedArea(client, input.area);
  const oils = candidates.map(({ oil }) => oilOf(book, oil));
  const perMl = candidates.map((candidate) => dropsPerMlOf(book, candidate));
  const targetMl = (volumeMl * targetPercent) / 100;
  const percentPerDrop = perMl.map((drops) => 100 / (drops * volumeMl));
  const weight = wanted.reduce((sum, one) => sum + one.weight, 0);
  const only = (i: number, value: number) => oils.map((_, j) => (i === j ? value : 0));
  const constituents = [...new Set(oils.flatMap((oil) => oil.constituents.map(({ id }) => id)))];
  const packings: Packing[] = [
    ...oils.flatMap((oil, i): Packing[] => {
      const limit = oilLimit(oil, area);
      return limit === null ? [] : [{ kind: 'oil', id: oil.id, perDrop: only(i, (percentPerDrop[i] ?? 0) / limit) }];
    }),
    ...constituents.flatMap((id): Packing[] => {
      const constituent = book.constituents.get(id);
      const limit = constituent ? constituentLimit(constituent, area) : null;
      if (limit === null) return [];
      const share = (i: number) => (oils[i]?.constituents.find((one) => one.id === id)?.maxPercent ?? 0) / 100;
      return [{ kind: 'constituent', id, perDrop: percentPerDrop.map((percent, i) => (percent * share(i)) / limit) }];
    }),
    ...(area === 'bath'
      ? []
      : [
          {
            kind: 'sun',
            id: 'sun',
            perDrop: oils.map(({ phototoxic }, i) =>
              phototoxic ? (percentPerDrop[i] ?? 0) / phototoxic.maxLeaveOnPercent : 0,
            ),
          } as const,
        ]),
  ].filter(({ perDrop }) => perDrop.some((share) => share > 0));
  return {
    oils: oils.map(({ id }) => id),
    share: perMl.map((drops) => 1 / (drops * targetMl)),
    most: candidates.map(({ maxDrops }, i) => {
      const oil = oils[i];
      return oil && reasonsToAvoid(oil, client, area, book).length > 0 ? 0 : maxDrops;
    }),
    cost: candidates.map(({ costPerDrop }) => costPerDrop),
    note: oils.map(({ note }) => noteIds.indexOf(note)),
    uses: oils.map((oil) => wanted.flatMap(({ use }, u) => (oil.uses.includes(use) ? [u] : []))),
    weights: wanted.map((one) => one.weight / weight),
    wishedNotes: notes && noteIds.map((id) => notes[id]),
    packings,
    maxOils: input.maxOils,
  };
}

/** How good a blend is; higher is better. */
export function meritOf(problem: BlendProblem, drops: readonly number[]): number {
  const { share, cost, note, uses, weights, wishedNotes } = problem;
  const perUse = weights.map(() => 0);
  const perNote = noteIds.map(() => 0);
  let total = 0;
  let price = 0;
  let oils = 0;
  drops.forEach((count, i) => {
    if (count === 0) return;
    const part = count * (share[i] ?? 0);
    total += part;
    price += count * (cost[i] ?? 0);
    oils += 1;
    perNote[note[i] ?? 0] = (perNote[note[i] ?? 0] ?? 0) + part;
    for (const u of uses[i] ?? []) perUse[u] = (perUse[u] ?? 0) + part;
  });
  const served = weights.reduce((sum, w, u) => sum + w * Math.min(1, (perUse[u] ?? 0) / merits.useSaturation), 0);
  const off = wishedNotes?.reduce((sum, wish, n) => sum + Math.abs((perNote[n] ?? 0) - wish), 0) ?? 0;
  return served - merits.note * off - merits.oil * oils - merits.cost * price - merits.total * Math.abs(total - 1);
}

export const totalShare = ({ share }: BlendProblem, drops: readonly number[]): number =>
  drops.reduce((sum, count, i) => sum + count * (share[i] ?? 0), 0);

const loadOf = ({ perDrop }: Packing, drops: readonly number[]): number =>
  drops.reduce((sum, count, i) => sum + count * (perDrop[i] ?? 0), 0);

/** What a set of drops breaks: ids of limits, `total`, `oils`, or `stock:` with an oil. */
export function brokenBy(problem: BlendProblem, drops: readonly number[]): readonly string[] {
  const total = totalShare(problem, drops);
  return [
    ...(exceeds(total, totalRange.most) || isBelow(total, totalRange.least) ? ['total'] : []),
    ...(drops.filter((count) => count > 0).length > problem.maxOils ? ['oils'] : []),
    ...drops.flatMap((count, i) => (count > (problem.most[i] ?? 0) ? [`stock:${problem.oils[i] ?? ''}`] : [])),
    ...problem.packings.flatMap((packing) =>
      loadOf(packing, drops) > 1 + slack ? [`${packing.kind}:${packing.id}`] : [],
    ),
  ];
}

/** Whether the target is more than what is usual for this client. */
export const isTargetAboveGuide = (book: OilBook, { client, area, targetPercent }: BestBlendCase): boolean =>
  exceeds(targetPercent, guideOf(book, client, area).maxPercent);
