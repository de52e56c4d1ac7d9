import type { Percent } from '../quantities';
import { isBelow, reaches, sumOf } from '../statistics';

type Length = number | null;

/** Lengths in cm in one fixed order; null: not taken. */
export interface FaceMeasures {
  readonly rightCm: readonly Length[];
  readonly leftCm: readonly Length[];
  /** Upper, middle and lower girth of the neck. */
  readonly neckCm: readonly Length[];
}

export interface FaceComposite {
  readonly rightCm: number;
  readonly leftCm: number;
  readonly faceCm: number;
  /** Null unless all three girths were taken; so is the total. */
  readonly neckCm: number | null;
  readonly totalCm: number | null;
  /** Sum of the differences as a share of one side (%), whichever way they go. */
  readonly asymmetryIndex: number;
  /** Positive: the right side is larger (%). */
  readonly signedAsymmetry: number;
}

const fewestDistances = 5;
const realFaceChangePercent = 2;

/**
 * Face and neck as sums of lengths. A distance missing on either side is left out on both.
 * @returns undefined with fewer than five distances
 * Source: Piso and others (2001), Am J Phys Med Rehabil 80:261–269; Smith, Lewin (2010), Curr Opin Otolaryngol 18:153–158.
 */
export function faceComposite({ rightCm, leftCm, neckCm }: FaceMeasures): FaceComposite | undefined {
  const pairs = rightCm.flatMap((right, i) => {
    const left = leftCm[i];
    return right === null || left == null ? [] : [{ right, left }];
  });
  if (pairs.length < fewestDistances) return undefined;
  const right = sumOf(pairs.map((pair) => pair.right));
  const left = sumOf(pairs.map((pair) => pair.left));
  const oneSide = (right + left) / 2;
  const neck = neckCm.length === 3 && neckCm.every((girth) => girth !== null) ? sumOf(neckCm) : null;
  return {
    rightCm: right,
    leftCm: left,
    faceCm: right + left,
    neckCm: neck,
    totalCm: neck === null ? null : right + left + neck,
    asymmetryIndex: (100 * sumOf(pairs.map((pair) => Math.abs(pair.right - pair.left)))) / oneSide,
    signedAsymmetry: (100 * (right - left)) / oneSide,
  };
}

/** In words: below 2 even, below 4 slight, below 8 clear, else marked. */
export function asymmetryBand(index: number): 'even' | 'slight' | 'clear' | 'marked' {
  if (isBelow(index, 2)) return 'even';
  if (isBelow(index, 4)) return 'slight';
  return isBelow(index, 8) ? 'clear' : 'marked';
}

export interface FaceChange {
  readonly percent: Percent;
  /** At least two per cent: taken as real. */
  readonly isReal: boolean;
}

/** Change of the face, and of face and neck together where both have all girths, over the distances of both dates. */
export function faceChange(before: FaceMeasures, after: FaceMeasures): FaceChange | undefined {
  const shared = before.rightCm.map((_, i) =>
    [before, after].every((time) => time.rightCm[i] != null && time.leftCm[i] != null),
  );
  const only = (time: FaceMeasures): FaceMeasures => ({
    rightCm: time.rightCm.map((length, i) => (shared[i] ? length : null)),
    leftCm: time.leftCm.map((length, i) => (shared[i] ? length : null)),
    neckCm: time.neckCm,
  });
  const [was, is] = [faceComposite(only(before)), faceComposite(only(after))];
  if (!was || !is) return undefined;
  const isWhole = was.totalCm !== null && is.totalCm !== null;
  const [from, to] = isWhole ? [was.totalCm ?? 0, is.totalCm ?? 0] : [was.faceCm, is.faceCm];
  const percent = (100 * (to - from)) / from;
  return { percent, isReal: reaches(Math.abs(percent), realFaceChangePercent) };
}
