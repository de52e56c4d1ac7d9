import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestAndWorst, type DatedValue, trendOf } from './trend';

const day = (n: number) => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000).toISOString().slice(0, 10);
const weekly = (values: readonly number[]): DatedValue[] => values.map((value, k) => ({ date: day(7 * k), value }));

describe('trend', () => {
  it('needs two dates, and four for an interval', () => {
    expect(trendOf([])).toBeUndefined();
    expect(
      trendOf([
        { date: day(0), value: 1 },
        { date: day(0), value: 2 },
      ]),
    ).toBeUndefined();
    expect(trendOf(weekly([500, 490, 480]))).toMatchObject({
      slopePerWeek: -10,
      lowPerWeek: null,
      direction: 'unclear',
    });
    expect(trendOf(weekly([500, 490, 480, 470, 460]))?.direction).toBe('falling');
  });

  it('is not led astray by one wild taping', () => {
    const calm = trendOf(weekly([500, 490, 480, 470, 460, 450]));
    const wild = trendOf(weekly([500, 490, 480, 900, 460, 450]));
    expect(wild?.slopePerWeek).toBeCloseTo(calm?.slopePerWeek ?? 0, 0);
  });

  it('calls steady what moves by no more than half a per cent a week, and leaves the rest unclear', () => {
    expect(trendOf(weekly([1000, 1000.5, 1000, 1000.4, 1000.2, 1000.1]))?.direction).toBe('steady');
    expect(trendOf(weekly([1000, 900, 1100, 880, 1080, 1000]))?.direction).toBe('unclear');
  });

  it('does not divide by a first value of 0', () => {
    expect(trendOf(weekly([0, 1, 2, 3]))?.changePercent).toBeNull();
  });

  it('counts calendar days over the change of the clocks', () => {
    const trend = trendOf([
      { date: '2026-03-22', value: 0 },
      { date: '2026-03-29', value: 7 },
      { date: '2026-04-05', value: 14 },
    ]);
    expect(trend?.slopePerWeek).toBe(7);
  });
});

describe('laws of the trend', () => {
  const series = fc
    .array(fc.record({ n: fc.integer({ min: 0, max: 400 }), value: fc.integer({ min: -500, max: 4000 }) }), {
      minLength: 2,
      maxLength: 24,
    })
    .map((points) => points.map(({ n, value }) => ({ date: day(n), value })));

  it('puts the slope inside its interval', () => {
    fc.assert(
      fc.property(series, fc.constantFrom(0.8, 0.9, 0.95, 0.99), (points, confidence) => {
        const trend = trendOf(points, confidence as 0.8);
        if (!trend || trend.lowPerWeek === null || trend.highPerWeek === null) return;
        expect(trend.lowPerWeek).toBeLessThanOrEqual(trend.slopePerWeek + 1e-9);
        expect(trend.highPerWeek).toBeGreaterThanOrEqual(trend.slopePerWeek - 1e-9);
      }),
      { numRuns: 400 },
    );
  });

  it('turns with the sign of the values, scales with them, and does not care for their order', () => {
    fc.assert(
      fc.property(series, fc.integer({ min: 2, max: 9 }), (points, k) => {
        const trend = trendOf(points);
        const scaled = trendOf([...points].reverse().map(({ date, value }) => ({ date, value: -k * value })));
        expect(scaled === undefined).toBe(trend === undefined);
        if (!trend || !scaled) return;
        expect(scaled.slopePerWeek).toBeCloseTo(-k * trend.slopePerWeek, 6);
        if (trend.lowPerWeek !== null) expect(scaled.highPerWeek).toBeCloseTo(-k * trend.lowPerWeek, 6);
      }),
      { numRuns: 300 },
    );
  });
});

describe('best and worst', () => {
  it('takes the earliest of ties, and nothing of nothing', () => {
    expect(bestAndWorst([])).toBeUndefined();
    expect(bestAndWorst(weekly([5, 3, 3, 5]))).toEqual({
      lowest: { date: day(7), value: 3 },
      highest: { date: day(0), value: 5 },
    });
  });
});
