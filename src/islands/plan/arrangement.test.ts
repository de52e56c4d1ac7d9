import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Step } from '../../core/drainage/step';
import { arrange, type Arrangement, type ArrangementChange, arrangementOf, mostPast } from './arrangement';

const step = (id: string) => ({ id }) as Step;
const start = arrangementOf(['a', 'b', 'c', 'd'].map(step));
const order = ({ steps }: Arrangement) => steps.map(({ id }) => id).join('');
const undone: ArrangementChange = { kind: 'undone' };

describe('arranging the steps of a plan', () => {
  it('puts a step elsewhere and remembers which', () => {
    const after = arrange(start, { kind: 'moved', from: 0, to: 2 });
    expect(order(after)).toBe('bcad');
    expect(after.movedId).toBe('a');
    expect(order(arrange(start, { kind: 'moved', from: 3, to: 0 }))).toBe('dabc');
  });

  it('does nothing where there is nothing to move, or nowhere to', () => {
    for (const [from, to] of [
      [1, 1],
      [9, 0],
      [0, 4],
      [0, -1],
    ] as const)
      expect(arrange(start, { kind: 'moved', from, to })).toBe(start);
    expect(arrange(start, undone)).toBe(start);
  });

  it('takes back what was moved and what was mended, the last first', () => {
    const moved = arrange(start, { kind: 'moved', from: 0, to: 1 });
    const mended = arrange(moved, { kind: 'mended', steps: ['d', 'c'].map(step) });
    expect(order(mended)).toBe('dc');
    expect(order(arrange(mended, undone))).toBe('bacd');
    expect(order(arrange(arrange(mended, undone), undone))).toBe('abcd');
  });

  it('does not take back into another plan', () => {
    const moved = arrange(start, { kind: 'moved', from: 0, to: 1 });
    const planned = arrange(moved, { kind: 'planned', steps: ['x'].map(step) });
    expect(order(arrange(planned, undone))).toBe('x');
  });

  it('loses no step, however it is moved, and comes back by as many undos', () => {
    const moves = fc.array(fc.record({ from: fc.nat(4), to: fc.integer({ min: -1, max: 4 }) }), {
      maxLength: mostPast,
    });
    fc.assert(
      fc.property(moves, (all) => {
        let now = start;
        for (const { from, to } of all) now = arrange(now, { kind: 'moved', from, to });
        expect([...order(now)].sort().join('')).toBe('abcd');
        for (let undo = 0; undo < all.length; undo += 1) now = arrange(now, undone);
        expect(order(now)).toBe('abcd');
      }),
    );
  });

  it('remembers no more than it has to', () => {
    let now = start;
    for (let i = 0; i < 2 * mostPast; i++) now = arrange(now, { kind: 'moved', from: 0, to: 1 });
    expect(now.past).toHaveLength(mostPast);
  });
});
