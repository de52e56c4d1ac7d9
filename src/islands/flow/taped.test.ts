import { describe, expect, it } from 'vitest';
import type { TapingView } from '../../contracts/visit-views';
import { tapedExcess } from './taped';

const taped = (change: object = {}) =>
  ({
    ...{ limb: 'leg', side: 'left', unit: 'cm' },
    volume: {
      excessMl: 300,
      segments: [
        { from: 0, to: 4, excessMl: 100 },
        { from: 4, to: 8, excessMl: 200 },
      ],
    },
    ...change,
  }) as unknown as TapingView;

describe('what the flow begins with', () => {
  it('is what the tape found, stretch by stretch', () => {
    expect(tapedExcess(taped())).toEqual({
      ...{ limb: 'leg', side: 'left' },
      stretches: [
        { fromCm: 0, toCm: 4, excessMl: 100 },
        { fromCm: 4, toCm: 8, excessMl: 200 },
      ],
    });
  });

  it('is counted in cm, whatever was read off the tape', () => {
    expect(tapedExcess(taped({ unit: 'in' }))?.stretches[0]).toMatchObject({ fromCm: 0, toCm: 10.16, excessMl: 100 });
  });

  it('is nothing without a tape run, or without the other side', () => {
    expect(tapedExcess(null)).toBeNull();
    expect(tapedExcess(taped({ volume: null }))).toBeNull();
    expect(tapedExcess(taped({ volume: { excessMl: null, segments: [] } }))).toBeNull();
  });
});
