import type { Millilitres } from '../quantities';
/** How a limb's volume is worked out from its girths. */
export const volumeMethods = ['frustum', 'disc', 'simpson'] as const;
export type VolumeMethod = (typeof volumeMethods)[number];

/** A segment that the chosen method could not take; frustum stands in. */
export interface MethodNote {
  readonly code: 'simpson-unequal-pair' | 'simpson-odd-segments';
  /** Index of the position at which the pair or segment starts. */
  readonly at: number;
}

export interface SegmentVolumes {
  /** mL, lowest segment first. */
  readonly segmentsMl: readonly number[];
  /** ∂V/∂C of the whole limb by each girth (mL per cm). */
  readonly gradient: readonly number[];
  readonly notes: readonly MethodNote[];
}

const equalLengthCm = 0.001;

/**
 * Volumes of the segments between neighbouring positions, the cross-section taken as round: A = C²/(4π).
 * @param positionsCm strictly increasing, at least two
 * @param girthsCm one for each position
 * Source: Casley-Smith (1994), Lymphology 27:56–70 (frustum); Kuhnke (1976), Folia Angiologica 24:228–232 (disc).
 */
export function segmentVolumes(
  positionsCm: readonly number[],
  girthsCm: readonly number[],
  method: VolumeMethod,
): SegmentVolumes {
  const segmentsMl: Millilitres[] = [];
  const gradient = girthsCm.map(() => 0);
  const notes: MethodNote[] = [];
  const grow = (i: number, amount: number) => {
    gradient[i] = (gradient[i] ?? 0) + amount;
  };
  const girth = (i: number) => girthsCm[i] ?? 0;
  const length = (i: number) => (positionsCm[i + 1] ?? 0) - (positionsCm[i] ?? 0);
  const count = positionsCm.length - 1;

  const addFrustum = (i: number) => {
    const [h, a, b] = [length(i), girth(i), girth(i + 1)];
    segmentsMl.push((h * (a * a + a * b + b * b)) / (12 * Math.PI));
    grow(i, (h * (2 * a + b)) / (12 * Math.PI));
    grow(i + 1, (h * (2 * b + a)) / (12 * Math.PI));
  };
  const addDisc = (i: number) => {
    const [h, a, b] = [length(i), girth(i), girth(i + 1)];
    segmentsMl.push((h * (a * a + b * b)) / (8 * Math.PI));
    grow(i, (h * a) / (4 * Math.PI));
    grow(i + 1, (h * b) / (4 * Math.PI));
  };
  const addSimpsonPair = (i: number) => {
    const h = (length(i) + length(i + 1)) / 2;
    const [a0 = 0, a1 = 0, a2 = 0] = [0, 1, 2].map((k) => girth(i + k) ** 2 / (4 * Math.PI));
    segmentsMl.push((h * (5 * a0 + 8 * a1 - a2)) / 12, (h * (-a0 + 8 * a1 + 5 * a2)) / 12);
    grow(i, ((h / 3) * girth(i)) / (2 * Math.PI));
    grow(i + 1, (((4 * h) / 3) * girth(i + 1)) / (2 * Math.PI));
    grow(i + 2, ((h / 3) * girth(i + 2)) / (2 * Math.PI));
  };

  let i = 0;
  while (i < count) {
    if (method === 'frustum') addFrustum(i++);
    else if (method === 'disc') addDisc(i++);
    else if (i + 1 === count) {
      notes.push({ code: 'simpson-odd-segments', at: i });
      addFrustum(i++);
    } else if (Math.abs(length(i) - length(i + 1)) <= equalLengthCm) {
      addSimpsonPair(i);
      i += 2;
    } else {
      notes.push({ code: 'simpson-unequal-pair', at: i });
      addFrustum(i++);
      addFrustum(i++);
    }
  }
  return { segmentsMl, gradient, notes };
}
