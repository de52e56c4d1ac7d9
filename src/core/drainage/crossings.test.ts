import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { crossingsIn } from './crossings';
import { makeCase, mustRead } from './fixtures';
import { planDrainage } from './plan';

const drain = (...places: readonly string[]) => places.map((place) => ({ kind: 'drain' as const, place }));
const crossed = (focus: readonly string[], findings: object[] = []) =>
  crossingsIn(
    anatomy,
    planDrainage(anatomy, mustRead(anatomy, makeCase([...focus], { minutes: 90, findings } as object))).steps,
  );

describe('crossings of the table', () => {
  it('are none for one limb', () => {
    expect(crossed(['arm.left'])).toBe(0);
    expect(crossed(['leg.right'])).toBe(0);
  });

  it('are few where both are in focus, since one is finished before the other', () => {
    expect(crossed(['arm.left', 'arm.right', 'abdomen'])).toBeLessThanOrEqual(2);
    expect(crossed(['leg.left', 'leg.right'])).toBeLessThanOrEqual(2);
    expect(crossed(['arm.left', 'arm.right', 'leg.left', 'leg.right'])).toBeLessThanOrEqual(5);
  });

  it('count limbs only: the trunk is reached from either side', () => {
    expect(crossingsIn(anatomy, drain('wrist.left', 'abdomen-upper.right', 'wrist.left'))).toBe(0);
    expect(crossingsIn(anatomy, drain('wrist.left', 'abdomen-upper.left', 'wrist.right', 'palm.left'))).toBe(2);
  });

  it('are as many as sides change, whatever lies between', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('wrist.left', 'wrist.right', 'abdomen-upper.left', 'breast.right')),
        (places) => {
          const sides = places.filter((place) => place.startsWith('wrist'));
          const changes = sides.filter((place, i) => i > 0 && place !== sides[i - 1]).length;
          expect(crossingsIn(anatomy, drain(...places))).toBe(changes);
        },
      ),
    );
  });
});
