import { describe, expect, it } from 'vitest';
import { changeText, figuresText, figureText, verdictOf } from './figure-text';
import { neckDials, wedgePath } from './neck-dial';

describe('figures in words', () => {
  it('stand with their unit, a change with its sign', () => {
    expect(figureText('°', 45)).toBe('45°');
    expect(figureText('cm', 92.25)).toBe('92.3 cm');
    expect(figureText('of 10', 6)).toBe('6 of 10');
    expect(changeText('cm', -1.5)).toBe('−1.5 cm');
    expect(changeText('grade', 1)).toBe('+1');
  });

  it('have names where their steps do, and go so many of them', () => {
    const steps = ['soft', 'doughy', 'firm'];
    expect(figureText('grade', 2, steps)).toBe('firm');
    expect(changeText('grade', -1, steps)).toBe('1 step');
    expect(changeText('grade', 2, steps)).toBe('2 steps');
  });

  it('say from where to where, or which of the two was taken', () => {
    expect(figuresText({ unit: '°' }, { before: 45, after: 60 })).toBe('45° → 60°');
    expect(figuresText({ unit: 'mm' }, { before: 38, after: null })).toContain('not taken after yet');
    expect(figuresText({ unit: 'mm' }, { before: null, after: 40 })).toContain('not taken before');
  });

  it.each([
    [0, true, null, 'the same'],
    [3, false, true, 'within measuring error'],
    [12, true, true, 'better, beyond measuring error'],
    [-12, true, false, 'worse, beyond measuring error'],
    [2, true, null, 'beyond measuring error'],
  ])('judge a change of %d', (change, isBeyond, isBetter, words) => {
    expect(verdictOf({ change, isBeyond, isBetter })).toBe(words);
  });
});

const course = (key: string, ...visits: readonly { before?: number; after?: number }[]) => ({
  key,
  visits: visits.map(({ before = null, after = null }: { before?: number | null; after?: number | null }) => ({
    before,
    after,
  })),
});

describe('the dials of the neck', () => {
  it('are three, each with two sides, those that were taken', () => {
    const dials = neckDials([
      course('neck-turn-left', { before: 40, after: 55 }),
      course('neck-turn-right', { before: 70 }),
      course('neck-flexion', { before: 30 }, { before: 35, after: 44 }),
    ]);
    expect(dials.map(({ dial }) => dial)).toEqual(['turns', 'bends']);
    expect(dials[0]?.sides[0]).toEqual({ before: 40, after: 55 });
    expect(dials[1]?.sides[0]).toEqual({ before: null, after: null });
    expect(dials[1]?.sides[1]).toEqual({ before: 35, after: 44 });
  });

  it('are none where the neck was not looked at', () => {
    expect(neckDials([course('face', { before: 140 })])).toEqual([]);
  });

  it('are drawn from straight ahead to the side, and never past straight back', () => {
    expect(wedgePath(90, 50)).toBe('M0 0V-50A50 50 0 0 1 50.0 0.0Z'.replace('0.0Z', '-0.0Z'));
    expect(wedgePath(0, 50)).toBe('M0 0V-50A50 50 0 0 1 0.0 -50.0Z');
    expect(wedgePath(400, 50)).toBe(wedgePath(180, 50));
  });
});
