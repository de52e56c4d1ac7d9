import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { levels } from './kinds';
import { levelFor, practisedSeconds } from './session';

const at = (level: 1 | 2 | 3 | 4, ...scores: readonly number[]) => scores.map((score) => ({ level, score }));

describe('the time of a session', () => {
  it('is what an answer took', () => expect(practisedSeconds(42)).toBe(42));
  it('leaves out what nobody practised: a case that was left lying', () => expect(practisedSeconds(1800)).toBe(180));
  it('is never less than none', () => expect(practisedSeconds(-3)).toBe(0));
});

describe('the level that suits', () => {
  it('is the first one for whoever begins', () => expect(levelFor([])).toBe(1));
  it('goes up after three good answers', () => expect(levelFor(at(1, 1, 0.9, 1))).toBe(2));
  it('waits for the third of them', () => expect(levelFor(at(1, 1, 1))).toBe(1));
  it('counts only answers at the level one is at', () => {
    expect(levelFor([...at(2, 1), ...at(1, 1, 1, 1)])).toBe(2);
  });
  it('stays while it is middling', () => expect(levelFor(at(2, 0.7, 0.9, 0.6))).toBe(2));
  it('goes down after three that were not', () => expect(levelFor(at(3, 0.1, 0.6, 0.3))).toBe(2));
  it('ends at the fourth, and does not begin below the first', () => {
    expect(levelFor(at(4, 1, 1, 1))).toBe(4);
    expect(levelFor(at(1, 0, 0, 0))).toBe(1);
  });
  it('moves by one step at most, whatever was answered', () => {
    const answer = fc.record({ level: fc.constantFrom(...levels), score: fc.double({ min: 0, max: 1, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(answer, { minLength: 1, maxLength: 12 }), (answers) => {
        const next = levelFor(answers);
        expect(levels).toContain(next);
        expect(Math.abs(next - (answers[0]?.level ?? 1))).toBeLessThanOrEqual(1);
      }),
    );
  });
});
