import { describe, expect, it } from 'vitest';
import { usualVolume } from './settings';
import { duplicateVolumes, type Pass, type RawTaping, settleTaping, tapingVolume } from './taping';

const affected = [23, 25, 28, 32, 35];
const reference = [22, 24, 27, 30, 33];
const pass = (by = 0): Pass => ({ affected: affected.map((x) => x + by), reference: reference.map((x) => x + by) });
const raw = (change: Partial<RawTaping> = {}): RawTaping => ({
  ...{ limb: 'leg', side: 'left', unit: 'cm', positions: [0, 4, 8, 12, 16] },
  ...{ first: pass(), second: null, third: null },
  ...change,
});

describe('girths that count', () => {
  it('are the only reading as it was typed', () => {
    expect(settleTaping(raw())).toEqual({ affected, reference, unresolved: { affected: [], reference: [] } });
  });

  it('are the mean of two that agree', () => {
    const settled = settleTaping(raw({ second: pass(0.2) }));
    expect(settled.affected[0]).toBeCloseTo(23.1, 9);
    expect(settled.unresolved).toEqual({ affected: [], reference: [] });
  });

  it('wait for a third where two disagree, point by point and side by side', () => {
    const second = { affected: [23, 25, 31, 32, 35], reference };
    expect(settleTaping(raw({ second })).unresolved).toEqual({ affected: [2], reference: [] });
    const third = { affected: [null, null, 28.2, null, null], reference: reference.map(() => null) };
    expect(settleTaping(raw({ second, third })).unresolved).toEqual({ affected: [], reference: [] });
  });

  it('are null where nothing was measured, whatever the other passes say of other points', () => {
    const first = { ...pass(), affected: [null, ...affected.slice(1)] };
    expect(settleTaping(raw({ first })).affected[0]).toBeNull();
  });

  it('come back in the unit in which they were typed', () => {
    const inches = { affected: [9, 10, 11, 12, 13], reference: [9, 10, 11, 12, 13] };
    const second = { ...inches, affected: [9.05, 10, 11, 12, 13] };
    expect(settleTaping(raw({ unit: 'in', first: inches, second })).affected[0]).toBeCloseTo(9.025, 9);
  });
});

describe('the volume of a taping', () => {
  it('has an excess where both limbs were taped, and none where only one was', () => {
    const both = tapingVolume({ ...raw(), ...pass() }, usualVolume);
    expect(both.ok && both.value.excessMl).toBeGreaterThan(0);
    const one = tapingVolume({ ...raw(), affected, reference: reference.map(() => null) }, usualVolume);
    expect(one.ok && one.value.excessMl).toBeNull();
  });

  it('is refused, not guessed, with too few points', () => {
    const few = { affected: [23, null, null, null, null], reference: reference.map(() => null) };
    expect(tapingVolume({ ...raw(), ...few }, usualVolume).ok).toBe(false);
  });
});

describe('pairs of readings for the own error', () => {
  it('are none of one pass, and one a limb of two whole ones', () => {
    expect(duplicateVolumes(raw(), usualVolume)).toEqual([]);
    const pairs = duplicateVolumes(raw({ second: pass(0.1) }), usualVolume);
    expect(pairs).toHaveLength(2);
    for (const [first, second] of pairs) expect(second).toBeGreaterThan(first);
  });

  it('are not taken of a pass that lacks a point', () => {
    const second = { affected: [null, ...affected.slice(1)], reference };
    expect(duplicateVolumes(raw({ second }), usualVolume)).toHaveLength(1);
  });
});
