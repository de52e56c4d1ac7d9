import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { carryErrors, chainsOf, runsOfChain } from './chain';
import { fewestChanges } from './choose-runs';
import { rotate, type RotationCase } from './rotation';
import { equalRuns, peakOf, runChoices, spansOf, type TimedStep } from './runs';
import type { StoneStep } from './step-times';

const step = (id: string, startS: number, durationS: number, change: Partial<StoneStep> = {}): StoneStep => ({
  ...{ id, startS, durationS, class: 'palm', count: 2, mode: 'moving', flip: true, towelLayers: 1 },
  ...{ usefulC: 42, firstContactC: 52 },
  ...change,
});
const bath = { bathC: 54, toleranceC: 1, ambientC: 24 };
const rotation = (steps: readonly StoneStep[], count: number, change: Partial<RotationCase> = {}) =>
  rotate(book, { ...bath, stock: [{ class: 'palm', size: 'palm', material: 'basalt', count }], steps, ...change });

describe('steps that carry on', () => {
  const first = step('open', 0, 100);

  it('are one chain from the first start to the last end, under the first one’s id', () => {
    const steps = [first, step('stroke', 100, 60, { carry: true }), step('strip', 200, 50, { carry: true })];
    const [chain, next, ...others] = chainsOf([...steps, step('again', 400, 30)]);
    expect([chain?.step.id, chain?.step.startS, chain?.step.durationS, chain?.ends]).toEqual([
      ...['open', 0, 250],
      [100, 160, 250],
    ]);
    expect([next?.step.id, others]).toEqual(['again', []]);
  });

  it.each([
    ['no step before it', [step('a', 0, 60, { carry: true })], 'steps.0.carry', 'no step before'],
    ['another class', [first, step('b', 100, 60, { carry: true, class: 'edge' })], 'steps.1.carry', 'another class'],
    ['another number', [first, step('b', 100, 60, { carry: true, count: 1 })], 'steps.1.carry', 'another number'],
    ['laid, not moved', [first, step('b', 100, 60, { carry: true, mode: 'still' })], 'steps.1.carry', 'not still'],
    ['too long a pause', [first, step('b', 161, 60, { carry: true })], 'steps.1.carry', '61 s after'],
    ['before the end', [first, step('b', 90, 60, { carry: true })], 'steps.1.carry', 'before “open” has ended'],
  ])('cannot: %s', (_, steps, path, words) => {
    expect(carryErrors(steps)).toEqual([{ path, message: expect.stringContaining(words) as string }]);
  });

  it('may pause for a minute', () => {
    expect(carryErrors([first, step('b', 160, 60, { carry: true })])).toEqual([]);
  });
});

describe('changes inside a chain', () => {
  it('fall on the latest end of a step that the stones reach', () => {
    const steps = [80, 40, 60, 60, 80].map((seconds, i, all) =>
      step(
        `s${i}`,
        all.slice(0, i).reduce((sum, one) => sum + one, 0),
        seconds,
        { carry: i > 0 },
      ),
    );
    const found = rotation(steps, 20);
    expect(found.timing).toEqual([
      { step: 's0', takeC: 52, usefulS: expect.any(Number) as number, reheatS: 300, restS: 75, runs: 3 },
    ]);
    const usefulS = found.timing[0]?.usefulS ?? 0;
    const changes = [...new Set(found.uses.map(({ toS }) => toS))].sort((a, b) => a - b);
    expect(usefulS).toBe(135);
    expect(changes).toEqual([120, 240, 320]);
  });

  it('fall between two passes where no end is near enough', () => {
    const steps = [step('long', 0, 400), step('short', 400, 20, { carry: true })];
    const single = [step('long', 0, 420)];
    expect(rotation(steps, 20).uses).toEqual(rotation(single, 20).uses);
  });
});

/** Steps on end that may pause for up to a minute. */
const chains = fc
  .array(fc.record({ seconds: fc.integer({ min: 10, max: 200 }), pause: fc.integer({ min: 0, max: 60 }) }), {
    minLength: 1,
    maxLength: 5,
  })
  .map((parts) => {
    let clock = 30;
    return parts.map(({ seconds, pause }, i) => {
      const startS = clock + (i > 0 ? pause : 0);
      clock = startS + seconds;
      return step(`s${i}`, startS, seconds, { carry: i > 0 });
    });
  });

describe('a chain and the single step of its span', () => {
  it('ask for the same stones and changes, and no stone serves longer than it is useful', () => {
    fc.assert(
      fc.property(chains, fc.integer({ min: 1, max: 12 }), (steps, count) => {
        const [first, last] = [steps[0] as StoneStep, steps.at(-1) as StoneStep];
        const single = { ...first, carry: false, durationS: last.startS + last.durationS - first.startS };
        const [chained, alone] = [rotation(steps, count), rotation([single], count)];
        expect([chained.swaps, chained.stonesInPlay, chained.feasible]).toEqual([
          ...[alone.swaps, alone.stonesInPlay, alone.feasible],
        ]);
        const { usefulS = 0 } = chained.timing[0] ?? {};
        for (const { fromS, toS } of chained.uses) expect(toS - fromS).toBeLessThanOrEqual(Math.max(usefulS, 1));
        expect(Math.min(...chained.uses.map(({ fromS }) => fromS))).toBe(single.startS);
        expect(Math.max(...chained.uses.map(({ toS }) => toS))).toBe(single.startS + single.durationS);
      }),
    );
  });

  it('has as many runs as were chosen, one after the other', () => {
    fc.assert(
      fc.property(chains, fc.integer({ min: 20, max: 150 }), (steps, usefulS) => {
        const chain = chainsOf(steps)[0];
        if (!chain) return;
        const timed: TimedStep = { step: chain.step, times: { takeC: 52, usefulS, reheatS: 300, restS: 15 } };
        const runs = Math.ceil(chain.step.durationS / usefulS);
        const found = runsOfChain(timed, chain.ends, runs);
        expect(found).toHaveLength(runs);
        expect(equalRuns(timed, runs)).toHaveLength(runs);
        found.forEach(({ fromS, toS }, i) => {
          expect(toS).toBeGreaterThan(fromS);
          expect(fromS).toBe(found[i - 1]?.toS ?? chain.step.startS);
        });
      }),
    );
  });
});

describe('the fewest changes that a tray allows', () => {
  const any = fc.array(
    fc.record({
      startS: fc.integer({ min: 0, max: 500 }),
      durationS: fc.integer({ min: 40, max: 400 }),
      count: fc.integer({ min: 1, max: 2 }),
      usefulS: fc.integer({ min: 4, max: 14 }).map((quarters) => 15 * quarters),
    }),
    { minLength: 1, maxLength: 3 },
  );

  it('are found exactly: as by trying everything', () => {
    fc.assert(
      fc.property(any, fc.integer({ min: 1, max: 8 }), (given, stones) => {
        const timed = given.map(({ usefulS, ...one }, i): TimedStep => ({
          step: step(`s${i}`, one.startS, one.durationS, { count: one.count }),
          times: { takeC: 52, usefulS, reheatS: 240, restS: 30 },
        }));
        const all = timed.reduce<readonly (readonly number[])[]>(
          (before, one) => before.flatMap((runs) => runChoices(one, book.rotation).map((run) => [...runs, run])),
          [[]],
        );
        const scored = all
          .map((runs) => ({
            runs,
            changes: runs.reduce((sum, run, i) => sum + (given[i]?.count ?? 0) * (run - 1), 0),
            peak: peakOf(
              timed.flatMap((one, i) =>
                spansOf(one, runs[i] ?? 1).map((span) => ({ ...span, stones: one.step.count })),
              ),
            ),
          }))
          .filter(({ peak }) => peak <= stones);
        const [best] = scored.toSorted((a, b) => a.changes - b.changes || a.peak - b.peak);
        const found = fewestChanges(timed, book.rotation, stones);
        const same = scored.find(({ runs }) => runs.join() === found?.join());
        expect([same?.changes, same?.peak]).toEqual([best?.changes, best?.peak]);
      }),
    );
  });
});
