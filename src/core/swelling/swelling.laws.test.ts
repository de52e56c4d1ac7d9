import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { limbChange } from './limb-change';
import { limbVolume, type LimbVolumeInput } from './limb-volume';
import { measurementError } from './measurement-error';
import { volumeMethods } from './volume';

const girths = (n: number) =>
  fc.array(
    fc.integer({ min: 150, max: 600 }).map((mm) => mm / 10),
    { minLength: n, maxLength: n },
  );
const limbs = fc.integer({ min: 3, max: 14 }).chain((n) =>
  fc.record({
    steps: fc.array(
      fc.integer({ min: 10, max: 60 }).map((mm) => mm / 10),
      { minLength: n, maxLength: n },
    ),
    affected: girths(n),
    reference: girths(n),
    method: fc.constantFrom(...volumeMethods),
  }),
);

function input({
  steps,
  affected,
  reference,
  method,
}: {
  readonly steps: readonly number[];
  readonly affected: readonly number[];
  readonly reference: readonly number[];
  readonly method: LimbVolumeInput['method'];
}): LimbVolumeInput {
  let at = 0;
  return {
    limb: 'leg',
    unit: 'cm',
    method,
    positions: steps.map((step) => (at += step)),
    affected,
    reference,
    dominant: 'none',
    dominanceCorrectionPercent: 0,
    tapeSigmaCm: 0.2,
  };
}
const volume = (input: LimbVolumeInput) => {
  const result = limbVolume(input);
  if (!result.ok) throw new Error(result.refusal.message);
  return result.value;
};

describe('laws of limb volumes', () => {
  it('flips the sign of every excess when the sides are swapped, and keeps its error', () => {
    fc.assert(
      fc.property(limbs, (limb) => {
        const straight = volume(input(limb));
        const swapped = volume(input({ ...limb, affected: limb.reference, reference: limb.affected }));
        expect(swapped.excessMl).toBeCloseTo(-(straight.excessMl ?? 0), 6);
        expect(swapped.excessSdMl).toBeCloseTo(straight.excessSdMl ?? 0, 6);
        straight.segments.forEach((segment, i) =>
          expect(swapped.segments[i]?.excessMl).toBeCloseTo(-(segment.excessMl ?? 0), 6),
        );
      }),
      { numRuns: 200 },
    );
  });

  it('grows with the cube of the scale, and reads inches and centimetres alike', () => {
    fc.assert(
      fc.property(limbs, fc.constantFrom(0.5, 1.5, 2), (limb, k) => {
        const plain = volume({ ...input(limb), reference: null });
        const grown = volume({
          ...input({ ...limb, steps: limb.steps.map((h) => h * k), affected: limb.affected.map((c) => c * k) }),
          reference: null,
          method: limb.method,
        });
        const isSimpsonAlike = limb.method !== 'simpson';
        if (isSimpsonAlike) expect(grown.affectedMl / plain.affectedMl).toBeCloseTo(k ** 3, 6);
        const given = input(limb);
        const inches = volume({
          ...given,
          unit: 'in',
          positions: given.positions.map((x) => x / 2.54),
          affected: given.affected.map((c) => (c ?? 0) / 2.54),
          reference: null,
        });
        expect(inches.affectedMl).toBeCloseTo(plain.affectedMl, 4);
      }),
      { numRuns: 200 },
    );
  });

  it('never lets a missing point lower a volume in silence', () => {
    fc.assert(
      fc.property(limbs, fc.nat(), (limb, seed) => {
        const given = input({ ...limb, method: 'frustum' });
        const at = seed % given.positions.length;
        const affected = given.affected.map((c, i) => (i === at ? null : c));
        const result = limbVolume({ ...given, affected });
        if (!result.ok) return expect(result.refusal.kind).toBe('too-few-points');
        const codes = result.value.warnings.map(({ code, position }) => [code, position]);
        expect(codes).toContainEqual([expect.stringMatching(/^(interpolated|trimmed)-affected$/), given.positions[at]]);
        const isEnd = at === 0 || at === given.positions.length - 1;
        expect(result.value.segments).toHaveLength(given.positions.length - (isEnd ? 2 : 1));
      }),
      { numRuns: 200 },
    );
  });

  it('gives a cylinder the spread of its closed form: σ·C·h/(2π)·√(n − ½)', () => {
    for (const n of [2, 5, 12]) {
      const positions = Array.from({ length: n + 1 }, (_, i) => 4 * i);
      const limb = volume({
        ...input({ steps: [], affected: [], reference: [], method: 'frustum' }),
        positions,
        affected: positions.map(() => 30),
        reference: null,
      });
      expect(limb.affectedSdMl).toBeCloseTo(((0.2 * 30 * 4) / (2 * Math.PI)) * Math.sqrt(n - 0.5), 8);
    }
  });
});

describe('change from baseline', () => {
  const ml = fc.integer({ min: 500, max: 6000 });
  it('is nothing when both sides grow alike, and its mL have the sign of its per cent', () => {
    fc.assert(
      fc.property(ml, ml, ml, ml, (a1, u1, a2, u2) => {
        const change = limbChange({ affectedMl: a1, unaffectedMl: u1 }, { affectedMl: a2, unaffectedMl: u2 }, 'rvc');
        if (!change.ok) throw new Error(change.refusal);
        expect(change.value.changeMl).toBeCloseTo(((change.value.changePercent / 100) * a1 * u2) / u1, 6);
        const alike = limbChange(
          { affectedMl: a1, unaffectedMl: u1 },
          { affectedMl: a1 * 1.2, unaffectedMl: u1 * 1.2 },
          'rvc',
        );
        expect(alike.ok && alike.value.changePercent).toBeCloseTo(0, 8);
      }),
    );
  });
  it('names what is missing', () => {
    expect(limbChange({ affectedMl: 1 }, { affectedMl: 1, unaffectedMl: 2 }, 'rvc')).toMatchObject({
      refusal: 'missing-unaffected',
      field: 'before.unaffectedMl',
    });
    expect(limbChange({ affectedMl: 1, weightKg: 60 }, { affectedMl: 1 }, 'wac')).toMatchObject({
      refusal: 'missing-weight',
      field: 'after.weightKg',
    });
  });
});

describe('error from duplicates', () => {
  it('counts a steady shift in the technical error only', () => {
    const shifted = measurementError([
      [10, 11],
      [20, 21],
      [30, 31],
    ]);
    expect(shifted?.tem).toBeCloseTo(Math.SQRT1_2);
    expect(shifted?.sem).toBe(0);
    expect(measurementError([[1, 2]])).toBeUndefined();
    expect(
      measurementError([
        [-1, 1],
        [1, -1],
      ])?.relativeTemPercent,
    ).toBeNull();
  });
});
