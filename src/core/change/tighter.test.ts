import { describe, expect, it } from 'vitest';
import { tighterByTurning, tighterSide } from './tighter';

const found = (place: string, presence = 1, kind: 'tighter' | 'tender' = 'tighter') => ({ kind, place, presence });

describe('the side that was tighter', () => {
  it('is the one where it was found', () => {
    expect(tighterSide([found('shoulder-top.right')])).toEqual({
      side: 'right',
      found: [found('shoulder-top.right')],
    });
  });

  it('is neither where nothing is remembered, where it was the middle, or something else', () => {
    expect(tighterSide([])).toBeUndefined();
    expect(tighterSide([found('nape.mid'), found('calf-upper.left', 1, 'tender')])).toBeUndefined();
  });

  it('is neither at a place that was tighter on both sides', () => {
    expect(tighterSide([found('jaw.left'), found('jaw.right', 0.8)])).toBeUndefined();
    expect(tighterSide([found('jaw.left'), found('jaw.right'), found('neck-side.left')])).toMatchObject({
      side: 'left',
      found: [{ place: 'neck-side.left' }],
    });
  });

  it('is the side with more, later found, of different places', () => {
    const both = [found('neck-side.left', 0.6), found('jaw.left', 0.6), found('shoulder-top.right', 0.9)];
    expect(tighterSide(both)?.side).toBe('left');
  });

  it('forgets what has faded', () => {
    expect(tighterSide([found('shoulder-top.right', 0.49)])).toBeUndefined();
  });
});

describe('a neck that turns', () => {
  it('is tighter to the side that it turns less to, by ten degrees', () => {
    expect(tighterByTurning({ turnLeft: 60, turnRight: 48 })).toBe('right');
    expect(tighterByTurning({ turnLeft: 50, turnRight: 60 })).toBe('left');
    expect(tighterByTurning({ turnLeft: 55, turnRight: 60 })).toBeUndefined();
    expect(tighterByTurning({ turnLeft: null, turnRight: 60 })).toBeUndefined();
  });
});
