import { roundTo } from '../units';
import type { BestBlend } from './best/best-blend';
import type { BlendCheck } from './check';
import type { Layered } from './layered';
import type { Share } from './limits';

/** Answers as they leave the house: percent with four decimals, carrier and film in hundredths of a mL. */

const fine = (value: number) => roundTo(value, 4);
const orNull = (value: number | null) => (value === null ? null : fine(value));

const share = ({ percent, limitPercent, shareOfLimit }: Share) => ({
  percent: fine(percent),
  limitPercent: orNull(limitPercent),
  shareOfLimit: orNull(shareOfLimit),
});

export const checkAnswer = (check: BlendCheck) => ({
  totalPercent: fine(check.totalPercent),
  carrierMl: roundTo(check.carrierMl, 2),
  parts: check.parts.map((part) => ({
    oil: part.oil,
    drops: part.drops,
    ml: fine(part.ml),
    ...share(part),
  })),
  constituents: check.constituents.map((one) => ({ id: one.id, ...share(one) })),
  phototoxic: { ...check.phototoxic, sumOfFractions: fine(check.phototoxic.sumOfFractions) },
  verdict: check.verdict,
  findings: check.findings,
  withinGuide: check.withinGuide,
  guideMaxPercent: check.guide.maxPercent,
});

export const bestAnswer = (blend: BestBlend) => ({
  ...blend,
  objective: fine(blend.objective),
  totalPercent: fine(blend.totalPercent),
});

/** @param carrier what the diluted equivalent is mixed with */
export const layeredAnswer = (layered: Layered, carrier: string) => ({
  effectivePercent: roundTo(layered.totalPercent, 2),
  filmMl: fine(layered.filmMl),
  parts: layered.parts.map(({ oil, drops, ml, percent, limitPercent }) => ({
    oil,
    drops,
    ml: fine(ml),
    effectivePercent: roundTo(percent, 2),
    limitPercent: orNull(limitPercent),
  })),
  constituents: layered.constituents.map((one) => ({ id: one.id, ...share(one) })),
  verdict: layered.verdict,
  findings: layered.findings,
  dilutedEquivalent: {
    carrier,
    bottleMl: layered.dilutedEquivalent.bottleMl,
    totalPercent: fine(layered.dilutedEquivalent.totalPercent),
    maxTotalPercent: fine(layered.dilutedEquivalent.maxTotalPercent),
    parts: layered.dilutedEquivalent.parts,
  },
});
