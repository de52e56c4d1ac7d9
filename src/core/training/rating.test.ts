import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drillKinds } from './kinds';
import { ratingsOf, type Shown } from './rating';
import { skills } from './skills';

const shown = (change: Partial<Shown> = {}): Shown => ({
  ...{ kind: 'heat', score: 1, seconds: 30, isGivenUp: false, skills: ['first-touch', 'lying-still'], broken: [] },
  ...change,
});
const rated = (change: Partial<Shown>) => Object.fromEntries(ratingsOf(shown(change)));

describe('how a skill went', () => {
  it('is good where it was kept', () => {
    expect(rated({})).toEqual({ 'first-touch': 'good', 'lying-still': 'good' });
  });

  it('is easy where all was right and also quick', () => {
    expect(rated({ seconds: 5 })).toEqual({ 'first-touch': 'easy', 'lying-still': 'easy' });
  });

  it('is never easy because something else was quick and wrong', () => {
    expect(rated({ seconds: 5, score: 0.5, broken: ['first-touch'] })['lying-still']).toBe('good');
  });

  it.each([
    [0, 'again'],
    [0.59, 'again'],
    [0.6, 'hard'],
    [0.79, 'hard'],
    [0.95, 'hard'],
  ] as const)('is, broken, by the score of the answer: %d is %s', (score, rating) => {
    expect(rated({ score, broken: ['lying-still'] })).toEqual({ 'first-touch': 'good', 'lying-still': rating });
  });

  it('begins again, all of it, when it was given up', () => {
    expect(rated({ score: 0, isGivenUp: true, broken: [] })).toEqual({
      'first-touch': 'again',
      'lying-still': 'again',
    });
  });

  it('is told of a skill that broke although the case did not ask for it', () => {
    expect(rated({ score: 0.1, broken: ['within-limits'] })['within-limits']).toBe('again');
  });

  it('is never easy for what takes its time: a minute, a count', () => {
    expect(rated({ kind: 'pace', seconds: 0, skills: ['pace-skin'] })).toEqual({ 'pace-skin': 'good' });
    expect(rated({ kind: 'count', seconds: 0, skills: ['count-kept'] })).toEqual({ 'count-kept': 'good' });
  });

  it('is told of every skill of a case exactly once, and a broken one is never good', () => {
    const ids = skills.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom(...drillKinds),
          score: fc.double({ min: 0, max: 1, noNaN: true }),
          seconds: fc.double({ min: 0, max: 3600, noNaN: true }),
          isGivenUp: fc.boolean(),
          skills: fc.subarray(ids, { minLength: 1 }),
          broken: fc.subarray(ids),
        }),
        (any) => {
          const ratings = ratingsOf(any);
          expect(new Set(ratings.keys())).toEqual(new Set([...any.skills, ...any.broken]));
          for (const id of any.broken) expect(['again', 'hard']).toContain(ratings.get(id));
        },
      ),
    );
  });
});
