import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyBlocks, block } from '../../../tests/any-treatment';
import { findBeamOrder } from './beam-order';
import { type Block, startSetting, usualCosts } from './block';
import { findCycle, ringWords } from './cycle';
import { findExactOrder } from './exact-order';
import { findLongOrder } from './long-order';
import { changesOf, setupSeconds } from './setup';
import { leastVisit, VisitBound } from './setup-bound';

const problemOf = (blocks: readonly Block[]) => {
  const index = new Map(blocks.map(({ id }, i) => [id, i]));
  return {
    ...{ size: blocks.length, classOf: blocks.map((_, i) => i) },
    between: [...blocks, startSetting].map((from) => [...blocks.map((to) => setupSeconds(from, to, usualCosts)), 0]),
    before: blocks.map(({ after }) => new Set(after.map((id) => index.get(id) ?? -1))),
  };
};

describe('the changes between blocks', () => {
  it('are told one by one, in the order in which they happen', () => {
    const blocks = [
      block('a', { hands: 'oiled' }),
      block('b', { hands: 'oiled', position: 'prone', therapist: 'left' }),
      block('c', { hands: 'oiled', position: 'prone', therapist: 'left', side: 'left' }),
    ];
    expect(changesOf(startSetting, blocks, usualCosts)).toEqual([
      { before: 'a', kind: 'hands', seconds: 20 },
      { before: 'b', kind: 'turn', seconds: 120 },
      { before: 'b', kind: 'walk', seconds: 10 },
      { before: 'c', kind: 'drape', seconds: 15 },
    ]);
  });

  it('add up to the seconds of the order', () => {
    fc.assert(
      fc.property(anyBlocks(9), (blocks) => {
        const all = changesOf(startSetting, blocks, usualCosts).reduce((sum, { seconds }) => sum + seconds, 0);
        const each = blocks.map((one, i) => setupSeconds(blocks[i - 1] ?? startSetting, one, usualCosts));
        expect(all).toBe(each.reduce((sum, seconds) => sum + seconds, 0));
      }),
    );
  });

  it('from a block to one like it are none', () => {
    fc.assert(fc.property(anyBlocks(4), (blocks) => blocks.every((one) => setupSeconds(one, one, usualCosts) === 0)));
  });
});

describe('the bound on what is still to be spent', () => {
  it('falls as more has been seen, and is nothing at the end', () => {
    fc.assert(
      fc.property(anyBlocks(8), (blocks) => {
        const { between } = problemOf(blocks);
        const bound = new VisitBound(between);
        let left = (1 << bound.seen.length) - 1;
        let before = bound.whole();
        for (const [k, at] of bound.seen.entries()) {
          left &= ~(1 << k);
          // Going on from a place that has just been seen never costs more than from the start with it still to see.
          const now = bound.from(left, at);
          expect(now).toBeLessThanOrEqual(bound.from(left | (1 << k), at) + 1e-9);
          before = now;
        }
        expect(before).toBe(0);
      }),
    );
  });

  it('with fewer places asked to be seen is lower, never higher', () => {
    fc.assert(
      fc.property(anyBlocks(9), (blocks) => {
        const { between } = problemOf(blocks);
        const bounds = [1, 3, 6, 15].map((most) => leastVisit(between, most));
        expect(bounds).toEqual(bounds.toSorted((a, b) => a - b));
      }),
    );
  });
});

describe('orders that are searched for', () => {
  it('hold every block once and obey what comes first, however they are found', () => {
    fc.assert(
      fc.property(anyBlocks(10), (blocks) => {
        const problem = problemOf(blocks);
        const long = findLongOrder(problem);
        const exact = findExactOrder(problem, long.seconds);
        for (const found of [findBeamOrder(problem), long, exact]) {
          if (!found) throw new Error('no order was found');
          expect([...found.order].sort((a, b) => a - b)).toEqual(blocks.map((_, i) => i));
          const at = new Map(found.order.map((i, k) => [i, k]));
          for (const [i, firsts] of problem.before.entries())
            for (const first of firsts) expect(at.get(first)).toBeLessThan(at.get(i) ?? -1);
          const walked = found.order.map((i, k) => problem.between[found.order[k - 1] ?? blocks.length]?.[i] ?? 0);
          expect(found.seconds).toBeCloseTo(
            walked.reduce((sum, seconds) => sum + seconds, 0),
            9,
          );
          expect(found.seconds).toBeGreaterThanOrEqual((exact?.seconds ?? 0) - 1e-9);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('blocks that wait for each other', () => {
  const node = (id: string, ...after: readonly string[]) => ({ id, after });

  it('are named as a ring, from the one that comes first', () => {
    const ring = findCycle([node('a', 'c'), node('b', 'a'), node('c', 'b')]);
    expect(ring?.[0]).toBe(ring?.at(-1));
    expect(new Set(ring)).toEqual(new Set(['a', 'b', 'c']));
    expect(ringWords(ring ?? [])).toContain('→');
    expect(findCycle([node('a', 'a')])).toEqual(['a', 'a']);
  });

  it('are none where each waits for earlier ones only', () => {
    fc.assert(fc.property(anyBlocks(12), (blocks) => findCycle(blocks) === undefined));
    expect(findCycle([])).toBeUndefined();
  });
});
