import type { Millilitres } from '../quantities';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { judgeChange } from './change';
import { errorBudget } from './error-budget';
import { faceComposite } from './face';
import { impedanceRatio } from './impedance';
import { isPitDoubtful, pittingGrade } from './pitting';
import { settleReadings } from './readings';
import { retentionOf } from './retention';
import { areSidesSwappedSinceLast, hasChangedALot } from './since-last';

interface Example {
  readonly rule: string;
  readonly input: Record<string, never>;
  readonly output: unknown;
}
const examples = JSON.parse(
  readFileSync(new URL('../../../tests/api/swelling-rules.examples.json', import.meta.url), 'utf8'),
) as readonly Example[];

/** Each rule by the name that the worked examples give it. */
const rules: Record<string, (input: never) => unknown> = {
  pittingGrade,
  settleReadings: ({ first, second, third }: Record<string, number | null>) =>
    settleReadings([first ?? null, second, third]),
  retention: ({
    visits,
    limitMl,
  }: {
    visits: { date: string; before: number; after: number }[];
    limitMl: Millilitres;
  }) => retentionOf(visits.map((visit) => ({ ...visit, limitMl }))),
  errorBudget: (input: Record<string, never>) =>
    errorBudget(input['positions'] as never, input['circumferences'] as never, input as never),
  beyondError: ({ changeMl, sd1Ml, sd2Ml, mdc95Ml }: Record<string, number>) =>
    judgeChange(changeMl ?? 0, sd1Ml ?? 0, sd2Ml ?? 0, mdc95Ml ?? 0),
  faceComposite,
  impedance: impedanceRatio,
  swappedSinceLast: areSidesSwappedSinceLast,
};

/** The expected value with every number near enough, and nothing else looked at. */
function near(expected: unknown): unknown {
  if (typeof expected === 'number') return expect.closeTo(expected, 4);
  if (Array.isArray(expected)) return expected.map(near);
  if (expected === null || typeof expected !== 'object') return expected;
  return expect.objectContaining(Object.fromEntries(Object.entries(expected).map(([k, v]) => [k, near(v)])));
}

describe('worked examples of rules without an endpoint', () => {
  it.each(examples.map((example, i) => [`${example.rule} ${i + 1}`, example] as const))(
    '%s',
    (_, { rule, input, output }) => {
      const apply = rules[rule];
      expect(apply, rule).toBeTypeOf('function');
      expect(apply?.(input as never)).toEqual(near(output));
    },
  );
});

describe('two readings of a point', () => {
  it('agree up to half a centimetre, or one per cent of a thick limb', () => {
    expect(settleReadings([31.2, 31.7])).toEqual({ value: expect.closeTo(31.45), unresolved: false });
    expect(settleReadings([31.2, 31.71]).unresolved).toBe(true);
    expect(settleReadings([80, 80.8]).unresolved).toBe(false);
  });
  it('count alone when there is only one', () => {
    expect(settleReadings([null, 30])).toEqual({ value: 30, unresolved: false });
    expect(settleReadings([null])).toEqual({ value: null, unresolved: false });
  });
});

describe('a pit', () => {
  it('is doubtful when depth and rebound are two grades apart', () => {
    expect(isPitDoubtful({ depthMm: 2, reboundSeconds: 90 })).toBe(true);
    expect(isPitDoubtful({ depthMm: 3, reboundSeconds: 40 })).toBe(false);
    expect(isPitDoubtful({ depthMm: 0.5, reboundSeconds: 90 })).toBe(false);
  });
  it('takes the limits into the lower grade', () => {
    expect([1, 2, 4, 6, 6.1].map((depthMm) => pittingGrade({ depthMm, reboundSeconds: null }))).toEqual([
      1, 1, 2, 3, 4,
    ]);
  });
});

describe('since last visit', () => {
  it('asks to tape again from more than 2 cm or 6 per cent', () => {
    expect(hasChangedALot(32, 30)).toBe(false);
    expect(hasChangedALot(32.1, 30)).toBe(true);
    expect(hasChangedALot(63, 60)).toBe(false);
    expect(hasChangedALot(63.7, 60)).toBe(true);
  });
  it('needs three rows before it calls sides swapped', () => {
    expect(
      areSidesSwappedSinceLast({
        affectedNow: [17, null, 25],
        referenceNow: [19, 24, 28],
        affectedBefore: [19, 24, 28],
        referenceBefore: [17, 21, 25],
      }),
    ).toBe(false);
  });
});
