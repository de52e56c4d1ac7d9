import { describe, expect, it } from 'vitest';
import type { ChangeView } from '../../contracts/change-views';
import { changeText, figureText, medianHeld, neckDials } from './figures';

type At = ChangeView['visits'][number];
const at = (change: Partial<At> = {}): At => ({
  ...{ visitId: 1, day: '4 May 2026', before: null, after: null, change: null },
  ...{ isBeyond: null, isBetter: null, heldPercent: null },
  ...change,
});
const course = (key: string, ...visits: readonly At[]): ChangeView => ({
  key,
  name: key,
  unit: '°',
  limit: 10,
  visits,
});

describe('figures before and after', () => {
  it('stand with their unit, a change with its sign', () => {
    expect(figureText('°', 45)).toBe('45°');
    expect(figureText('cm', 92.25)).toBe('92.3 cm');
    expect(figureText('of 10', 6)).toBe('6 of 10');
    expect(changeText('cm', -1.5)).toBe('−1.5 cm');
    expect(changeText('grade', 1)).toBe('+1');
  });

  it('of the neck are three dials, each with two sides, those that were taken', () => {
    const dials = neckDials([
      course('neck-turn-left', at({ before: 40, after: 55 })),
      course('neck-turn-right', at({ before: 70 })),
      course('neck-flexion', at({ before: 30 }), at({ before: 35, after: 44 })),
    ]);
    expect(dials.map(({ dial }) => dial)).toEqual(['turns', 'bends']);
    expect(dials[0]?.sides[0]).toMatchObject({ before: 40, after: 55 });
    expect(dials[1]?.sides[0]).toEqual({ before: null, after: null });
    expect(dials[1]?.sides[1]).toMatchObject({ before: 35, after: 44 });
  });

  it('have no dials where the neck was not looked at', () => {
    expect(neckDials([course('face', at({ before: 140 }))])).toEqual([]);
  });

  it('held by the median of the visits of which it is known', () => {
    const held = (...percents: readonly (number | null)[]) =>
      medianHeld(course('x', ...percents.map((heldPercent) => at({ heldPercent }))));
    expect(held(null, null)).toBeUndefined();
    expect(held(50, null, 70)).toEqual({ percent: 60, count: 2 });
    expect(held(90, 10, 40)).toEqual({ percent: 40, count: 3 });
  });
});
