import { describe, expect, it } from 'vitest';
import { stoneBook } from '../../catalogue/stones/stones';
import { chooseRuns } from './choose-runs';
import { peakOf, runChoices, spansOf, type TimedStep } from './runs';

const habits = stoneBook.rotation;
const timed = (startS: number, durationS: number, count = 1, usefulS = 300): TimedStep =>
  ({
    step: { id: `s${startS}`, class: 'palm', count, startS, durationS },
    times: { restS: 30, usefulS, reheatS: 600 },
  }) as unknown as TimedStep;
const peakWith = (steps: readonly TimedStep[], runs: readonly number[]) =>
  peakOf(steps.flatMap((one, i) => spansOf(one, runs[i] ?? 1).map((span) => ({ ...span, stones: one.step.count }))));
const swapsWith = (steps: readonly TimedStep[], runs: readonly number[]) =>
  steps.reduce((sum, { step }, i) => sum + step.count * ((runs[i] ?? 1) - 1), 0);

/** Every choice there is, one after the other. */
function* everyChoice(steps: readonly TimedStep[], chosen: readonly number[] = []): Generator<readonly number[]> {
  const next = steps[chosen.length];
  if (!next) yield chosen;
  else for (const runs of runChoices(next, habits)) yield* everyChoice(steps, [...chosen, runs]);
}

describe('into how many runs steps are cut', () => {
  it('are the fewest where stones are not short at the same time', () => {
    expect(chooseRuns([timed(0, 300), timed(5000, 900)], habits)).toEqual([1, 3]);
    expect(chooseRuns([], habits)).toEqual([]);
  });

  it('are what trying everything finds: least stones, fewest swaps, the smallest numbers', () => {
    for (const steps of [
      [timed(0, 500), timed(200, 700, 2), timed(900, 400)],
      [timed(0, 900), timed(300, 900), timed(600, 900), timed(900, 900)],
      [timed(0, 650, 3), timed(650, 650, 1), timed(700, 300, 2)],
    ]) {
      const all = [...everyChoice(steps)].map((runs) => ({
        runs,
        peak: peakWith(steps, runs),
        swaps: swapsWith(steps, runs),
      }));
      const best = all.reduce((a, b) => (b.peak < a.peak || (b.peak === a.peak && b.swaps < a.swaps) ? b : a));
      expect(chooseRuns(steps, habits)).toEqual(best.runs);
    }
  });

  it('are found soon, also where very many steps overlap', () => {
    const steps = Array.from({ length: 40 }, (_, i) => timed(37 * i, 400 + ((i * 53) % 700), 1 + (i % 3)));
    const begun = performance.now();
    const runs = chooseRuns(steps, habits);
    expect(performance.now() - begun).toBeLessThan(2_000);
    const fewest = steps.map((one) => runChoices(one, habits)[0] ?? 1);
    expect(peakWith(steps, runs)).toBeLessThanOrEqual(peakWith(steps, fewest));
  });
});
