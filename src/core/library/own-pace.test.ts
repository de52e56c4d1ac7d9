import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedLibrary as library } from '../../catalogue/library/library';
import type { TechniqueId } from '../ids';
import { atOwnPace, leastTimes, mayHaveOwnPace, ownPaces } from './own-pace';

const techniques = [...library.techniques.values()];
const free = techniques.filter(mayHaveOwnPace);
const [some] = free;
if (!some) throw new Error('a library without a hand in it');

/** Steps that took so many times of what the library says. */
const takes = (times: readonly number[], technique = some) =>
  times.map((one) => ({
    technique: technique.id,
    seconds: one * technique.secondsPerRepetition * technique.placements,
  }));
const often = (time: number, count = leastTimes) => takes(Array.from({ length: count }, () => time));
const paceOf = (all: ReturnType<typeof takes>, id: TechniqueId = some.id) => ownPaces(library.techniques, all).get(id);

describe('the pace of one’s own hands', () => {
  it('is known from ten steps on', () => {
    expect(paceOf(often(1.2, leastTimes - 1))).toBeUndefined();
    expect(paceOf(often(1.2))).toEqual({
      secondsPerRepetition: Math.round(12 * some.secondsPerRepetition) / 10,
      times: leastTimes,
    });
  });

  it('is the middle of them, so that a slow one changes nothing', () => {
    expect(paceOf([...often(1.2, 12), ...takes([1.9])])?.secondsPerRepetition).toBe(
      paceOf(often(1.2))?.secondsPerRepetition,
    );
  });

  it('is not learned from steps that were pressed through or left running', () => {
    expect(paceOf([...often(1.2, 9), ...often(0.1, 20), ...often(5, 20)])).toBeUndefined();
    expect(paceOf([...often(1.2, 10), ...often(0.1, 20)])?.times).toBe(10);
  });

  it('never lets stones lie longer, or breath go faster', () => {
    const kept = techniques.filter((technique) => !mayHaveOwnPace(technique));
    expect(kept.some(({ family }) => family === 'stone-rest')).toBe(true);
    expect(kept.some(({ family }) => family === 'breath')).toBe(true);
    for (const technique of kept)
      expect(
        paceOf(
          takes(
            Array.from({ length: 20 }, () => 1.5),
            technique,
          ),
          technique.id,
        ),
      ).toBeUndefined();
  });

  it('lies within half and double of the library’s, whatever was measured', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...free),
        fc.array(fc.double({ min: 0.01, max: 9, noNaN: true })),
        (technique, all) => {
          const pace = ownPaces(library.techniques, takes(all, technique)).get(technique.id);
          if (!pace) return;
          expect(pace.secondsPerRepetition).toBeGreaterThanOrEqual(technique.secondsPerRepetition / 2 - 0.051);
          expect(pace.secondsPerRepetition).toBeLessThanOrEqual(technique.secondsPerRepetition * 2 + 0.051);
          expect(pace.times).toBeGreaterThanOrEqual(leastTimes);
        },
      ),
    );
  });

  it('changes the seconds of its techniques in the library, and nothing else of it', () => {
    const own = ownPaces(library.techniques, often(1.4));
    const worked = atOwnPace(library, own);
    expect(worked.techniques.get(some.id)).toEqual({
      ...some,
      secondsPerRepetition: own.get(some.id)?.secondsPerRepetition,
    });
    expect(worked.protocols).toBe(library.protocols);
    for (const other of techniques) if (other !== some) expect(worked.techniques.get(other.id)).toBe(other);
    expect(atOwnPace(library, new Map())).toBe(library);
  });
});
