import { describe, expect, it } from 'vitest';
import { lookAgainAt, type SkinAfter } from './look-again';

const skin = (change: Partial<SkinAfter>): SkinAfter => ({
  ...{ endedAt: '2026-11-25T15:00:00.000Z', redness: null, rednessBefore: null, fadeMinutes: null },
  ...change,
});
const inTen = '2026-11-25T15:10:00.000Z';

describe('looking at the skin again', () => {
  it('is due ten minutes after the end, where it was not looked at or has reddened', () => {
    expect(lookAgainAt(skin({}))).toBe(inTen);
    expect(lookAgainAt(skin({ redness: 2, rednessBefore: 1 }))).toBe(inTen);
  });

  it('is over once it was read, or nothing has reddened', () => {
    expect(lookAgainAt(skin({ redness: 1, rednessBefore: 1 }))).toBeNull();
    expect(lookAgainAt(skin({ redness: 2, fadeMinutes: 15 }))).toBeNull();
    expect(lookAgainAt(skin({ redness: 2, fadeMinutes: -1 }))).toBeNull();
  });

  it('is nothing before the end', () => {
    expect(lookAgainAt(skin({ endedAt: null }))).toBeNull();
  });
});
