import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Block, type Setting, startSetting, usualCosts } from './block';
import { anyBlocks, block } from '../../../tests/any-treatment';
import { sequenceBlocks } from './sequence';
import { findLongOrder } from './long-order';
import { setupSeconds } from './setup';
import { leastVisit } from './setup-bound';

const best = (blocks: readonly Block[]) => {
  const result = sequenceBlocks(blocks);
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.value;
};

const secondsOf = (order: readonly Block[]) =>
  order.reduce((sum, one, i) => sum + setupSeconds(order[i - 1] ?? startSetting, one, usualCosts), 0);

function* ordersOf(left: readonly Block[], over: readonly Block[] = []): Generator<readonly Block[]> {
  if (left.length === 0) yield over;
  for (const one of left)
    if (one.after.every((id) => over.some((done) => done.id === id)))
      yield* ordersOf(
        left.filter((other) => other !== one),
        [...over, one],
      );
}

describe('the best order of blocks', () => {
  it('turns once, and oils the hands once', () => {
    const result = best([
      block('back', { position: 'prone', hands: 'oiled' }),
      block('face', { hands: 'oiled' }),
      block('drain', {}),
    ]);
    expect(result).toMatchObject({ order: ['drain', 'face', 'back'], setupSeconds: 140, optimal: true });
    expect(result.changes).toEqual([
      { before: 'face', kind: 'hands', seconds: 20 },
      { before: 'back', kind: 'turn', seconds: 120 },
    ]);
  });

  it('obeys what has to come first, also where that costs more', () => {
    const result = best([
      block('a', { hands: 'oiled', after: ['z'] }),
      block('b', { hands: 'dry', after: ['a'] }),
      block('z', { hands: 'stone' }),
    ]);
    expect(result.order).toEqual(['z', 'a', 'b']);
    expect(result.setupSeconds).toBe(30 + 15 + 90);
  });

  it('prefers the ids that come first when orders cost the same, capital letters before small ones', () => {
    expect(best([block('b'), block('a10'), block('B'), block('a2')]).order).toEqual(['B', 'a10', 'a2', 'b']);
  });

  it('counts a walk round the table by its shorter way, and a drape only without a turn', () => {
    const changes = (input: Partial<Block>) =>
      best([block('x', input)]).changes.map(({ kind, seconds }) => [kind, seconds]);
    expect(changes({ therapist: 'right' })).toEqual([['walk', 10]]);
    expect(changes({ therapist: 'feet', side: 'left' })).toEqual([
      ['walk', 20],
      ['drape', 15],
    ]);
    expect(changes({ position: 'prone', side: 'left' })).toEqual([['turn', 120]]);
  });

  it.each([
    ['dry', 'oiled', 20],
    ['oiled', 'dry', 90],
    ['stone', 'gloved', 45],
    ['gloved', 'brush', 60],
    ['dry', 'stone', 30],
    ['stone', 'oiled', 15],
    ['brush', 'stone', 20],
    ['stone', 'tool', 20],
    ['tool', 'dry', 20],
    ['tool', 'brush', 20],
  ] as const)('goes from %s to %s hands in %d seconds', (from, to, seconds) => {
    expect(usualCosts.hands(from, to)).toBe(seconds);
  });

  it('names the ring when blocks wait for each other', () => {
    const result = sequenceBlocks([
      block('oil', { after: ['brush'] }),
      block('brush', { after: ['drain'] }),
      block('drain', { after: ['oil'] }),
    ]);
    expect(result).toMatchObject({ ok: false });
    expect(result.ok ? '' : result.errors[0]?.message).toContain('oil → drain → brush → oil');
  });

  it('names ids that are given twice or do not exist', () => {
    const result = sequenceBlocks([block('a'), block('a', { after: ['nobody'] })]);
    expect(result.ok ? [] : result.errors.map(({ path }) => path)).toEqual(['blocks.1.id', 'blocks.1.after.0']);
  });

  it('is the best of all orders, and the first of the best', () => {
    fc.assert(
      fc.property(anyBlocks(6), (blocks) => {
        const result = best(blocks);
        const all = [...ordersOf(blocks)].map((order) => ({
          seconds: secondsOf(order),
          ids: order.map(({ id }) => id),
        }));
        const least = Math.min(...all.map(({ seconds }) => seconds));
        const first = all
          .filter(({ seconds }) => seconds === least)
          .map(({ ids }) => ids)
          .sort((a, b) => {
            const at = a.findIndex((id, i) => id !== b[i]);
            return at < 0 ? 0 : (a[at] ?? '') < (b[at] ?? '') ? -1 : 1;
          })[0];
        expect(result).toMatchObject({ setupSeconds: least, order: first, optimal: true, lowerBound: least });
        expect(result.changes.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(least);
      }),
      { numRuns: 60 },
    );
  });

  it('finds a good order beyond that, and says how far it may be from the best', () => {
    fc.assert(
      fc.property(anyBlocks(34), (blocks) => {
        const result = best(blocks);
        const over = new Set<string>();
        for (const id of result.order) {
          expect(blocks.find((one) => one.id === id)?.after.every((earlier) => over.has(earlier))).toBe(true);
          over.add(id);
        }
        expect(over.size).toBe(blocks.length);
        expect(result.lowerBound).toBeLessThanOrEqual(result.setupSeconds + 1e-9);
        expect(result.optimal).toBe(result.lowerBound === result.setupSeconds);
      }),
      { numRuns: 25 },
    );
  });

  it('has a bound that the true optimum never undercuts, and stays within a twentieth of it', () => {
    fc.assert(
      fc.property(anyBlocks(13), (blocks) => {
        const exact = best(blocks);
        const index = new Map(blocks.map(({ id }, i) => [id, i]));
        const settings: readonly Setting[] = [...blocks, startSetting];
        const between = settings.map((from) => [...blocks.map((to) => setupSeconds(from, to, usualCosts)), 0]);
        for (const most of [4, 8, 15]) expect(leastVisit(between, most)).toBeLessThanOrEqual(exact.setupSeconds + 1e-9);
        const long = findLongOrder({
          ...{ size: blocks.length, classOf: blocks.map((_, i) => i), between },
          before: blocks.map(({ after }) => new Set(after.map((id) => index.get(id) ?? -1))),
        });
        expect(long.seconds).toBeGreaterThanOrEqual(exact.setupSeconds - 1e-9);
        expect(long.seconds).toBeLessThanOrEqual(1.05 * exact.setupSeconds + 1e-9);
      }),
      { numRuns: 30 },
    );
  });

  it('is proven best up to twenty blocks', () => {
    const settings = (['supine', 'prone', 'side-left', 'seated'] as const).flatMap((position) =>
      (['dry', 'oiled', 'stone', 'brush', 'tool'] as const).map((hands) => ({ position, hands })),
    );
    const blocks = settings.map((setting, i) =>
      block(`b${String(i).padStart(2, '0')}`, {
        ...setting,
        after: i % 3 === 2 ? [`b${String(i - 2).padStart(2, '0')}`] : [],
      }),
    );
    expect(best(blocks)).toMatchObject({ optimal: true, gap: 0 });
  });

  it('has a bound that no order of a small treatment undercuts', () => {
    fc.assert(
      fc.property(anyBlocks(8), (blocks) => {
        const many = [0, 1, 2, 3].flatMap((copy) =>
          blocks.map((one) => ({ ...one, id: `${one.id}-${copy}`, after: one.after.map((id) => `${id}-${copy}`) })),
        );
        const result = best(many);
        expect(result.lowerBound).toBeLessThanOrEqual(result.setupSeconds + 1e-9);
      }),
      { numRuns: 20 },
    );
  });
});
