import { describe, expect, it } from 'vitest';
import type { ChangeView } from '../../contracts/change-views';
import { medianHeld } from './figures';

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
  it('held by the median of the visits of which it is known', () => {
    const held = (...percents: readonly (number | null)[]) =>
      medianHeld(course('x', ...percents.map((heldPercent) => at({ heldPercent }))));
    expect(held(null, null)).toBeUndefined();
    expect(held(50, null, 70)).toEqual({ percent: 60, count: 2 });
    expect(held(90, 10, 40)).toEqual({ percent: 40, count: 3 });
  });
});
