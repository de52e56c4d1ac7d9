import type { Millilitres, Percent } from '../quantities';
import { exceeds, reaches } from '../statistics';
import { type LengthUnit, toCm } from '../units';
import { checkBothSides, checkSide, type EntryWarning, type Limb } from './entry-checks';
import { type FilledLimb, fillGaps, type Girth, volumeSdMl } from './gaps';
import { segmentVolumes, type VolumeMethod } from './volume';
import { warningText } from './warning-texts';
import { swellingSays } from './swelling.says';

export interface LimbVolumeInput {
  readonly limb: Limb;
  /** Of positions and girths alike. */
  readonly unit: LengthUnit;
  readonly method: VolumeMethod;
  readonly positions: readonly number[];
  /** One entry a position; null: not measured. */
  readonly affected: readonly Girth[];
  /** Null when there is no other limb. */
  readonly reference: readonly Girth[] | null;
  readonly dominant: 'affected' | 'reference' | 'none';
  /** 0–20; arms only. */
  readonly dominanceCorrectionPercent: Percent;
  /** Standard deviation of one girth (cm), whatever the unit. */
  readonly tapeSigmaCm: number;
}

export type SwellingGrade = 'none' | 'early' | 'minimal' | 'moderate' | 'severe';

export interface LimbSegment {
  readonly from: number;
  readonly to: number;
  readonly affectedMl: Millilitres;
  readonly referenceMl: Millilitres | null;
  readonly excessMl: Millilitres | null;
}

export interface LimbVolume {
  readonly affectedMl: Millilitres;
  readonly referenceMl: Millilitres | null;
  readonly excessMl: Millilitres | null;
  readonly excessPercent: Percent | null;
  readonly segments: readonly LimbSegment[];
  readonly affectedSdMl: Millilitres;
  readonly excessSdMl: Millilitres | null;
  readonly severity: SwellingGrade | null;
  readonly warnings: readonly { readonly code: string; readonly position: number | null; readonly message: string }[];
}

export type LimbVolumeRefusal = {
  readonly kind: 'too-few-points' | 'positions-not-increasing' | 'length-mismatch' | 'gap-too-wide';
  readonly field: 'positions' | 'affected' | 'reference';
  readonly message: string;
};

export type LimbVolumeResult =
  { readonly ok: true; readonly value: LimbVolume } | { readonly ok: false; readonly refusal: LimbVolumeRefusal };

/**
 * Volume of a taped limb and what it holds more than the other one (mL, unrounded).
 * Refusals, the first that applies: fewer than two positions, positions not increasing, a list of another length, and
 * per limb too few measured points or a gap of two or more inside.
 */
export function limbVolume(input: LimbVolumeInput): LimbVolumeResult {
  const refuse = (
    kind: LimbVolumeRefusal['kind'],
    field: LimbVolumeRefusal['field'],
    message: string,
  ): LimbVolumeResult => ({
    ok: false,
    refusal: { kind, field, message },
  });
  const { positions, affected, reference } = input;
  if (positions.length < 2) return refuse('too-few-points', 'positions', swellingSays.aLimbNeedsAtLeastTwo);
  const step = positions.findIndex((x, i) => i > 0 && x <= (positions[i - 1] ?? 0));
  if (step > 0)
    return refuse(
      'positions-not-increasing',
      'positions',
      swellingSays.doesNotLieAbove(Number(positions[step]), Number(positions[step - 1])),
    );
  if (affected.length !== positions.length)
    return refuse('length-mismatch', 'affected', lengthText(affected.length, positions.length));
  if (reference && reference.length !== positions.length)
    return refuse('length-mismatch', 'reference', lengthText(reference.length, positions.length));

  const positionsCm = positions.map((x) => toCm(x, input.unit));
  const sides = {
    affected: toGirthsCm(affected, input.unit),
    reference: reference && toGirthsCm(reference, input.unit),
  };
  const filled: Partial<Record<'affected' | 'reference', FilledLimb>> = {};
  for (const side of ['affected', 'reference'] as const) {
    const girths = sides[side];
    if (!girths) continue;
    const limb = fillGaps(positionsCm, girths);
    if (limb === 'too-few-points') return refuse(limb, side, swellingSays.atLeastTwoPointsOfThis);
    if (limb === 'gap-too-wide') return refuse(limb, side, swellingSays.twoOrMoreNeighbouringPointsAre);
    filled[side] = limb;
  }
  const own = filled.affected as FilledLimb;
  const other = filled.reference;
  const from = Math.max(own.firstMeasured, other?.firstMeasured ?? 0);
  const to = Math.min(own.lastMeasured, other?.lastMeasured ?? positions.length - 1);
  if (to - from < 1) return refuse('too-few-points', 'positions', swellingSays.bothLimbsMustShareAtLeast);
  return { ok: true, value: compare(input, positionsCm, sides, own, other, from, to) };
}

function toGirthsCm(girths: readonly Girth[], unit: LengthUnit): readonly Girth[] {
  return girths.map((girth) => (girth === null ? null : toCm(girth, unit)));
}

function lengthText(input: number, wanted: number): string {
  return swellingSays.thereAreGirthsForPositionsGive(input, wanted);
}

/** Published dominant arms are a little larger; the correction enters the expected volume. Source: [S16], [S17] of the practice’s reading list. */
function dominanceFactor(input: LimbVolumeInput): number {
  const p = input.dominanceCorrectionPercent / 100;
  if (input.limb === 'leg' || input.dominant === 'none') return 1;
  return input.dominant === 'affected' ? 1 + p : 1 / (1 + p);
}

function compare(
  input: LimbVolumeInput,
  positionsCm: readonly number[],
  sides: { readonly affected: readonly Girth[]; readonly reference: readonly Girth[] | null },
  own: FilledLimb,
  other: FilledLimb | undefined,
  from: number,
  to: number,
): LimbVolume {
  const stretch = positionsCm.slice(from, to + 1);
  const volumesOf = (limb: FilledLimb) =>
    segmentVolumes(stretch, limb.girthsCm.slice(from, to + 1) as number[], input.method);
  const ownVolumes = volumesOf(own);
  const otherVolumes = other && volumesOf(other);
  const f = dominanceFactor(input);
  const sum = (values: readonly number[]) => values.reduce((total, v) => total + v, 0);
  const affectedMl = sum(ownVolumes.segmentsMl);
  const referenceMl = otherVolumes ? sum(otherVolumes.segmentsMl) : null;
  const excessMl = referenceMl === null ? null : affectedMl - f * referenceMl;
  const excessPercent = referenceMl === null || excessMl === null ? null : (100 * excessMl) / (f * referenceMl);
  const affectedSdMl = volumeSdMl(positionsCm, own, from, ownVolumes.gradient, input.tapeSigmaCm);
  const referenceSdMl =
    other && otherVolumes ? volumeSdMl(positionsCm, other, from, otherVolumes.gradient, input.tapeSigmaCm) : null;

  const warnings: EntryWarning[] = [
    ...ownVolumes.notes.map(({ code, at }) => ({ code, at: from + at })),
    ...rangeWarnings('affected', sides.affected, own, from, to),
    ...checkSide(input.limb, 'affected', input.unit, positionsCm, sides.affected),
  ];
  if (other && sides.reference && otherVolumes) {
    warnings.push(...rangeWarnings('reference', sides.reference, other, from, to));
    warnings.push(...checkSide(input.limb, 'reference', input.unit, positionsCm, sides.reference));
    warnings.push(
      ...checkBothSides(sides.affected, sides.reference, ownVolumes.segmentsMl, otherVolumes.segmentsMl, warnings),
    );
  }
  if (input.limb === 'leg' && input.dominanceCorrectionPercent > 0 && input.dominant !== 'none') {
    warnings.push({ code: 'dominance-ignored', at: null });
  }

  return {
    affectedMl,
    referenceMl,
    excessMl,
    excessPercent,
    segments: ownVolumes.segmentsMl.map((ml, i) => {
      const otherMl = otherVolumes?.segmentsMl[i] ?? null;
      return {
        from: input.positions[from + i] ?? 0,
        to: input.positions[from + i + 1] ?? 0,
        affectedMl: ml,
        referenceMl: otherMl,
        excessMl: otherMl === null ? null : ml - f * otherMl,
      };
    }),
    affectedSdMl,
    excessSdMl: referenceSdMl === null ? null : Math.hypot(affectedSdMl, f * referenceSdMl),
    severity: excessPercent === null ? null : severityOf(excessPercent),
    warnings: sortWarnings(warnings).map(({ code, at }) => ({
      code,
      position: at === null ? null : (input.positions[at] ?? null),
      message: warningText(code),
    })),
  };
}

/** Points that were filled in, and points outside the stretch that both limbs share. */
function rangeWarnings(
  side: 'affected' | 'reference',
  girths: readonly Girth[],
  limb: FilledLimb,
  from: number,
  to: number,
): EntryWarning[] {
  const filled = limb.interpolated.filter((at) => at >= from && at <= to);
  const trimmed = [...girths.keys()].filter((at) => girths[at] === null && (at < from || at > to));
  return [
    ...filled.map((at) => ({ code: `interpolated-${side}`, at })),
    ...trimmed.map((at) => ({ code: `trimmed-${side}`, at })),
  ];
}

/** By position upwards, what concerns a whole side last, then by code. */
function sortWarnings(warnings: readonly EntryWarning[]): readonly EntryWarning[] {
  const place = (w: EntryWarning) => w.at ?? Infinity;
  return [...warnings].sort((a, b) => (place(a) === place(b) ? (a.code < b.code ? -1 : 1) : place(a) - place(b)));
}

/** Observation, never a diagnosis. Bands by unrounded excess (%): 5, 10, 20 belong to the band above, 40 to moderate. */
export function severityOf(excessPercent: Percent): SwellingGrade {
  if (exceeds(excessPercent, 40)) return 'severe';
  if (reaches(excessPercent, 20)) return 'moderate';
  if (reaches(excessPercent, 10)) return 'minimal';
  return reaches(excessPercent, 5) ? 'early' : 'none';
}
