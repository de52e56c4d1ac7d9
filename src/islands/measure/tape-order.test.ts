import { describe, expect, it } from 'vitest';
import { pointFrom, stepFrom, tapeOrder } from './tape-order';

const wish = {
  points: 3,
  order: 'one-side',
  pass: 'first',
  hasEight: true,
  unresolved: { affected: [], reference: [] },
} as const;
const short = (order: ReturnType<typeof tapeOrder>) => order.map(({ side, index }) => `${side[0]}${index}`).join(' ');

describe('the order of taping', () => {
  it('takes the reference limb first, from the zero mark up, hand or foot last', () => {
    expect(short(tapeOrder(wish))).toBe('r0 r1 r2 a0 a1 a2 reight aeight');
    expect(short(tapeOrder({ ...wish, hasEight: false }))).toBe('r0 r1 r2 a0 a1 a2');
  });
  it('goes side by side when told to', () => {
    expect(short(tapeOrder({ ...wish, order: 'side-by-side', hasEight: false }))).toBe('r0 a0 r1 a1 r2 a2');
  });
  it('leaves the figure-of-eight out of later passes, and walks only what disagrees in the third', () => {
    expect(short(tapeOrder({ ...wish, pass: 'second' }))).toBe('r0 r1 r2 a0 a1 a2');
    expect(short(tapeOrder({ ...wish, pass: 'third', unresolved: { affected: [2], reference: [0] } }))).toBe('r0 a2');
  });
  it('steps on and back, and stops at the ends', () => {
    const order = tapeOrder(wish);
    const [first, last] = [order[0], order.at(-1)];
    if (!first || !last) throw new Error('empty');
    expect(stepFrom(order, first, 1)).toMatchObject({ side: 'reference', index: 1 });
    expect(stepFrom(order, first, -1)).toBeUndefined();
    expect(stepFrom(order, last, 1)).toBeUndefined();
    expect(pointFrom(order, { pass: 'first', side: 'affected', index: 2 }, 1)).toBeUndefined();
    expect(pointFrom(order, { pass: 'first', side: 'affected', index: 2 }, -1)).toMatchObject({ index: 1 });
  });
});
