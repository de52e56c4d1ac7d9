import type { Millilitres } from '../quantities';
import type { OilId } from '../ids';
import type { FindingCode } from './blend-case';
import type { BlendJudgement, BlendFinding } from './blend-case';
import type { BlendCase, BlendFacts, CheckedPart } from './blend-case';
import { exceeds, reaches } from '../statistics';
import { mlOf, totalMlOf } from './amounts';
import type { BlendPart, OilBook } from './book';
import { oilOf } from './book';
import { guideOf, judgedArea, reasonsToAvoid } from './client';
import {
  constituentsOf,
  type Dose,
  hoursOutOfSun,
  isNear,
  isOver,
  oilLimit,
  phototoxicSum,
  type Share,
  shareOf,
} from './limits';
import { wordsOf } from './finding-words';
import { dosesOnSkin } from './on-skin';

export interface BlendCheck extends BlendJudgement {
  readonly carrierMl: Millilitres;
}

/**
 * A blend against every published limit that the book knows, against what is usual, and against what the client has.
 * @returns percent of the finished blend, unrounded; null when the oils do not fit into the bottle
 *
 * Source: percent volume in volume; limits as cited in the book.
 */
export function checkBlend(book: OilBook, input: BlendCase): BlendCheck | null {
  const oilMl = totalMlOf(book, input.parts);
  if (exceeds(oilMl, input.volumeMl)) return null;
  return { ...judge(book, input), carrierMl: Math.max(0, input.volumeMl - oilMl) };
}

/** A blend and what lies on the skin already, each on the area that it is judged for. */
export const onJudgedArea = (asked: BlendCase): BlendCase => ({
  ...asked,
  area: judgedArea(asked.client, asked.area),
  already: asked.already?.map((one) => ({ ...one, area: judgedArea(asked.client, one.area) })),
});

/** The judgement by itself: `volumeMl` is what the oils are spread in, a bottle or a film on the skin. */
export function judge(book: OilBook, asked: BlendCase): BlendJudgement {
  const input = onJudgedArea(asked);
  const { volumeMl, area, client, basis } = input;
  const doses = dosesOnSkin(book, input);
  const onSkin = (oil: OilId) => doses.find((dose) => dose.oil === oil)?.percent ?? 0;
  const parts = input.parts.map((part): CheckedPart => {
    const ml = mlOf(book, part);
    const limit = oilLimit(oilOf(book, part.oil), area);
    const { shareOfLimit } = shareOf(onSkin(part.oil), limit);
    return { oil: part.oil, drops: part.drops, ml, percent: (100 * ml) / volumeMl, limitPercent: limit, shareOfLimit };
  });
  const constituents = constituentsOf(book, doses, area, basis);
  const sumOfFractions = phototoxicSum(book, doses, area);
  const totalPercent = parts.reduce((sum, { percent }) => sum + percent, 0);
  const guide = guideOf(book, client, area);
  const withinGuide = !exceeds(totalPercent, guide.maxPercent);
  const isBurning = exceeds(sumOfFractions, 1);
  const phototoxic = { sumOfFractions, hoursOutOfSun: isBurning ? hoursOutOfSun(book, used(input.parts)) : 0 };
  const facts = { parts, constituents, phototoxic, totalPercent, guide, withinGuide };
  // Skin feels all that lies on it, not only what comes now.
  const findings = findingsOf(book, input, {
    ...facts,
    parts: parts.map((part) => ({ ...part, percent: onSkin(part.oil) })),
  });
  const verdict = findings.some(({ severity }) => severity === 'over')
    ? 'over'
    : findings.length > 0
      ? 'caution'
      : 'ok';
  return { ...facts, verdict, findings };
}

const used = (parts: readonly BlendPart[]) => parts.filter(({ drops }) => drops > 0);

function findingsOf(book: OilBook, input: BlendCase, facts: BlendFacts): readonly BlendFinding[] {
  const { parts, constituents, phototoxic, withinGuide } = facts;
  const words = wordsOf(book, input, facts);
  const over = (code: FindingCode, oil: OilId | null, constituent: string | null, text: string): BlendFinding => ({
    ...{ code, oil, constituent, text },
    severity: 'over',
  });
  const near = (oil: OilId | null, constituent: string | null, text: string): BlendFinding => ({
    ...{ code: 'near-limit', oil, constituent, text },
    severity: 'caution',
  });
  const avoided = used(input.parts).flatMap(({ oil }) =>
    reasonsToAvoid(oilOf(book, oil), input.client, input.area, book).map((reason) =>
      over('avoid', oil, null, words.avoid(oil, reason)),
    ),
  );
  return [
    ...parts.filter(isOver).map((part) => over('over-oil-limit', part.oil, null, words.overOil(part))),
    ...constituents
      .filter(isOver)
      .map((one) => over('over-constituent-limit', null, one.id, words.overConstituent(one))),
    ...(exceeds(phototoxic.sumOfFractions, 1) ? [over('over-phototoxic-sum', null, null, words.overSun())] : []),
    ...avoided,
    ...parts.filter(isNear).map((part) => near(part.oil, null, words.nearOil(part))),
    ...constituents.filter(isNear).map((one) => near(null, one.id, words.nearConstituent(one))),
    ...(isNearSun(phototoxic.sumOfFractions) ? [near(null, null, words.nearSun())] : []),
    ...(withinGuide
      ? []
      : [
          { code: 'above-guide', severity: 'caution', oil: null, constituent: null, text: words.aboveGuide() } as const,
        ]),
  ];
}

const isNearSun = (sum: number) => reaches(sum, 0.8) && !exceeds(sum, 1);

/** What is closest to its limit, the whole blend against the guide among it; undefined for a blend without oils. */
export function tightestOf(
  judgement: Pick<BlendJudgement, 'parts' | 'constituents' | 'phototoxic' | 'totalPercent' | 'guide'>,
): { readonly kind: 'oil' | 'constituent' | 'sun' | 'whole'; readonly id: string; readonly share: number } | undefined {
  const { parts, constituents, phototoxic, totalPercent, guide } = judgement;
  if (totalPercent <= 0) return undefined;
  const all = [
    ...parts.map((part: Dose & Share) => ({ kind: 'oil', id: part.oil, share: part.shareOfLimit ?? 0 }) as const),
    ...constituents.map(({ id, shareOfLimit }) => ({ kind: 'constituent', id, share: shareOfLimit ?? 0 }) as const),
    { kind: 'sun', id: 'sun', share: phototoxic.sumOfFractions } as const,
    {
      kind: 'whole',
      id: 'whole',
      share: guide.maxPercent === 0 ? Infinity : totalPercent / guide.maxPercent,
    } as const,
  ];
  return all.reduce((most, one) => (one.share > most.share ? one : most));
}
