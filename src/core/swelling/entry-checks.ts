import { exceeds, isBelow, median, slack } from '../statistics';
import { cmPerInch, type LengthUnit } from '../units';
import type { Girth } from './gaps';
import { warningKind } from './warning-texts';

export type Limb = 'arm' | 'leg';
export type LimbSide = 'affected' | 'reference';

/** A doubtful entry; it never changes a number and never blocks saving. */
export interface EntryWarning {
  readonly code: string;
  /** Index of the position, or null where the code concerns a whole side. */
  readonly at: number | null;
}

const nearFraction = 0.2;
const rangeCm = { arm: [10, 80], leg: [14, 120] } as const;
const unitLimits = { cm: { arm: 15, leg: 20 }, in: { arm: 20, leg: 30 } } as const;
const smallestJumpCm = 3;
const jumpFraction = 0.1;
const usualSpanCm = 8;
const swappedRowCm = 1;
const swappedPercent = -5;

interface Point {
  readonly at: number;
  readonly x: number;
  readonly c: number;
}

const atMost = (value: number, limit: number) => !exceeds(value, limit);

/** Warnings of one side: wrong unit for all, jumps with their likely cause, values outside the limb's range. */
export function checkSide(
  limb: Limb,
  side: LimbSide,
  unit: LengthUnit,
  positionsCm: readonly number[],
  girthsCm: readonly Girth[],
): readonly EntryWarning[] {
  const points: Point[] = [];
  girthsCm.forEach((c, at) => {
    if (c !== null) points.push({ at, x: positionsCm[at] ?? 0, c });
  });
  if (points.length === 0) return [];
  const warnings: EntryWarning[] = [];
  const typedMedian = median(points.map(({ c }) => (unit === 'in' ? c / cmPerInch : c)));
  const limit = unitLimits[unit][limb];
  const isUnitSuspect = unit === 'cm' ? isBelow(typedMedian, limit) : exceeds(typedMedian, limit);
  if (isUnitSuspect) warnings.push({ code: `unit-suspect-${side}`, at: null });
  const culprits = findJumps(points);
  for (const [at, cause] of culprits) warnings.push({ code: `${cause}-${side}`, at });
  if (!isUnitSuspect) {
    const [low, high] = rangeCm[limb];
    for (const { at, c } of points) {
      if (!culprits.has(at) && (isBelow(c, low) || exceeds(c, high))) warnings.push({ code: `range-${side}`, at });
    }
  }
  return warnings;
}

type JumpCause = 'unit-point' | 'decimal-point' | 'jump';

/** Points that leave the line of their neighbours, by index of their position. */
function findJumps(points: readonly Point[]): ReadonlyMap<number, JumpCause> {
  const culprits = new Map<number, JumpCause>();
  const last = points.length - 1;
  if (last < 2) return culprits;
  const point = (k: number) => points[k] as Point;
  const expected = points.map((p, k) => {
    if (k === 0 || k === last) return p.c;
    const [a, b] = [point(k - 1), point(k + 1)];
    return a.c + ((b.c - a.c) * (p.x - a.x)) / (b.x - a.x);
  });
  const residual = points.map((p, k) => Math.abs(p.c - (expected[k] ?? p.c)));
  const r = (k: number) => residual[k] ?? 0;
  for (let k = 1; k < last; k += 1) {
    const p = expected[k] ?? 0;
    const limit =
      Math.max(smallestJumpCm, jumpFraction * p) * Math.max(1, (point(k + 1).x - point(k - 1).x) / usualSpanCm);
    const isPeak = (k === 1 || !isBelow(r(k), r(k - 1))) && (k === last - 1 || !isBelow(r(k), r(k + 1)));
    if (!exceeds(r(k), limit) || !isPeak) continue;
    if (points.length >= 4 && k === 1 && atMost(r(2), 0.25 * r(1))) {
      culprits.set(point(0).at, causeOf(point(0).c, extrapolate(point(1), point(2), point(0).x)));
    } else if (points.length >= 4 && k === last - 1 && atMost(r(last - 2), 0.25 * r(last - 1))) {
      culprits.set(
        point(last).at,
        causeOf(point(last).c, extrapolate(point(last - 1), point(last - 2), point(last).x)),
      );
    } else culprits.set(point(k).at, causeOf(point(k).c, p));
  }
  return culprits;
}

/** The line through two points, taken at `x`. */
function extrapolate(near: Point, far: Point, x: number): number {
  return near.c + ((near.c - far.c) * (x - near.x)) / (near.x - far.x);
}

function causeOf(c: number, expected: number): JumpCause {
  const isNear = (q: number) => expected > 0 && atMost(Math.abs(q - expected), nearFraction * expected);
  if (isNear(cmPerInch * c) || isNear(c / cmPerInch)) return 'unit-point';
  if (isNear(10 * c) || isNear(c / 10)) return 'decimal-point';
  return 'jump';
}

const isMistyped = (kind: string) => kind === 'unit-point' || kind === 'decimal-point';

/** Warnings that need both sides; `sideWarnings` are those found on either side before. */
export function checkBothSides(
  affectedCm: readonly Girth[],
  referenceCm: readonly Girth[],
  affectedSegmentsMl: readonly number[],
  referenceSegmentsMl: readonly number[],
  sideWarnings: readonly EntryWarning[],
): readonly EntryWarning[] {
  const warnings: EntryWarning[] = [];
  const mistyped = new Set(sideWarnings.filter(({ code }) => isMistyped(warningKind(code))).map(({ at }) => at));
  const rows: { at: number; d: number }[] = [];
  affectedCm.forEach((a, at) => {
    const b = referenceCm[at];
    if (a !== null && b !== null && b !== undefined && !mistyped.has(at)) rows.push({ at, d: a - b });
  });
  for (let i = 1; i + 1 < rows.length; i += 1) {
    const [before, here, after] = [rows[i - 1]?.d ?? 0, rows[i]?.d ?? 0, rows[i + 1]?.d ?? 0];
    const isOpposite = here * before < 0 && here * after < 0;
    if (isOpposite && [before, here, after].every((d) => !isBelow(Math.abs(d), swappedRowCm))) {
      warnings.push({ code: 'row-swapped', at: rows[i]?.at ?? null });
    }
  }
  if (rows.length >= 4 && rows.every(({ d }) => Math.abs(d) <= slack))
    warnings.push({ code: 'sides-identical', at: null });

  const affectedMl = affectedSegmentsMl.reduce((sum, v) => sum + v, 0);
  const referenceMl = referenceSegmentsMl.reduce((sum, v) => sum + v, 0);
  const percent = (100 * (affectedMl - referenceMl)) / referenceMl;
  const smaller = affectedSegmentsMl.filter((v, i) => v < (referenceSegmentsMl[i] ?? 0)).length;
  const isUnitSuspect = sideWarnings.some(({ code }) => warningKind(code) === 'unit-suspect');
  if (!isUnitSuspect && atMost(percent, swappedPercent) && smaller >= 0.75 * affectedSegmentsMl.length) {
    warnings.push({ code: 'sides-swapped', at: null });
  }
  return warnings;
}
