import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { isIn } from '../anatomy/place';
import { makeCase, mustRead, type Wish } from './fixtures';
import { planDrainage } from './plan';

const planned = (focus: readonly string[], wish: Wish = {}) =>
  planDrainage(anatomy, mustRead(anatomy, makeCase([...focus], { minutes: 90, ...wish }))).steps;
const turnsOf = (focus: readonly string[], wish: Wish = {}) =>
  planned(focus, wish).filter(({ kind }) => kind === 'turn').length;

describe('how a client lies', () => {
  it('is on the back all along where nothing of the back is worked', () => {
    for (const focus of [['leg.left'], ['arm.right'], ['face', 'neck']]) {
      expect(turnsOf(focus)).toBe(0);
      expect(new Set(planned(focus).map(({ position }) => position ?? 'supine'))).toEqual(new Set(['supine']));
    }
  });

  it('is face down where skin of the back is worked, and only there', () => {
    const steps = planned(['trunk-upper.left']);
    const isBack = (place: string) => isIn(anatomy, 'back', place);
    const worked = steps.filter(({ kind }) => ['prepare', 'soften', 'drain'].includes(kind));
    for (const { place, position } of worked) expect(position === 'prone', place).toBe(isBack(place));
  });

  it('changes as seldom as can be: over once, and back once for the end', () => {
    expect(turnsOf(['trunk-upper.left', 'trunk-lower.left'])).toBeLessThanOrEqual(2);
  });

  it('is never on the side without its turn: each turn stands where the position changes', () => {
    const steps = planned(['whole-body'], { minutes: 180 });
    let lies = 'supine';
    for (const { kind, position = 'supine' } of steps) {
      if (kind === 'turn') lies = position;
      expect(position).toBe(lies);
    }
  });
});
