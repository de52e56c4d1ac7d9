import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { device, house, queueTo, refused, unreachable, type Way } from './test-house';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const pass = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

/** What may happen, in any order: an answer is given, time passes, the way there changes, the page crashes. */
type Happening =
  | { readonly kind: 'add'; readonly slot: string; readonly isOneMore: boolean }
  | { readonly kind: 'pass'; readonly ms: number }
  | { readonly kind: 'way'; readonly way: 'open' | 'offline' | 'lost-answer' | 'busy' | 'refusing' }
  | { readonly kind: 'crash' }
  | { readonly kind: 'edit' }
  | { readonly kind: 'decide'; readonly keep: boolean };

const happenings = fc.array(
  fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({
        kind: fc.constant('add' as const),
        slot: fc.constantFrom('a', 'b'),
        isOneMore: fc.boolean(),
      }),
    },
    { weight: 4, arbitrary: fc.record({ kind: fc.constant('pass' as const), ms: fc.integer({ min: 0, max: 4000 }) }) },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('way' as const),
        way: fc.constantFrom(
          'open' as const,
          'offline' as const,
          'lost-answer' as const,
          'busy' as const,
          'refusing' as const,
        ),
      }),
    },
    { weight: 1, arbitrary: fc.constant({ kind: 'crash' as const }) },
    { weight: 1, arbitrary: fc.constant({ kind: 'edit' as const }) },
    { weight: 1, arbitrary: fc.record({ kind: fc.constant('decide' as const), keep: fc.boolean() }) },
  ),
  { minLength: 1, maxLength: 40 },
);

const ways: Readonly<Record<'open' | 'offline' | 'lost-answer' | 'busy' | 'refusing', Way>> = {
  open: () => undefined,
  offline: () => unreachable,
  'lost-answer': () => 'lost-answer',
  busy: () => ({ kind: 'unreachable', afterMs: 500 }),
  refusing: () => refused,
};

describe('whatever happens', () => {
  it('every answer is at the house once, replaced by a later one of its slot, given up by a person, or to be seen', async () => {
    await fc.assert(
      fc.asyncProperty(happenings, async (list: readonly Happening[]) => {
        const store = device();
        const there = house();
        const gone = new Set<string>();
        const given: { readonly body: string; readonly slot: string; readonly isOneMore: boolean }[] = [];
        const open = () => {
          const queue = queueTo(there, { openStore: () => Promise.resolve(store) });
          void queue.begin();
          return queue;
        };
        let queue = open();
        await pass();
        for (const one of list) {
          if (one.kind === 'add') {
            const body = `${one.slot}${given.length}`;
            given.push({ body, slot: one.slot, isOneMore: one.isOneMore });
            if (one.isOneMore) queue.addOneMore(one.slot, body);
            else queue.add(one.slot, body);
            // The device has it a moment later; what a page loses in that moment nobody can keep.
            await pass();
          } else if (one.kind === 'pass') await pass(one.ms);
          else if (one.kind === 'way') there.become(ways[one.way]);
          else if (one.kind === 'edit') there.edit();
          else if (one.kind === 'decide') {
            if (one.keep) queue.overwrite(there.version());
            else for (const { body } of queue.yieldTo(there.version())) gone.add(body);
          } else {
            queue.end();
            await pass(10);
            queue = open();
            await pass();
          }
        }
        there.become(ways.open);
        queue.retry();
        for (let round = 0; round < 5; round += 1) {
          await pass(40_000);
          queue.overwrite(there.version());
        }
        await pass(40_000);
        const seen = new Set(queue.status().refused.map(({ draft }) => draft.body));
        const at = (body: string) => there.stored.indexOf(body);
        for (const [i, { body, slot }] of given.entries()) {
          const isReplaced = given.slice(i + 1).some((later) => later.slot === slot && !later.isOneMore);
          expect(at(body) >= 0 || seen.has(body) || gone.has(body) || isReplaced, body).toBe(true);
        }
        expect(new Set(there.stored).size).toBe(there.stored.length);
        // Whoever looks last sees what was written last in a slot, unless it was refused or given up.
        for (const slot of ['a', 'b']) {
          const last = given.filter((one) => one.slot === slot && !gone.has(one.body) && !seen.has(one.body)).at(-1);
          if (last && at(last.body) >= 0)
            expect(there.stored.filter((body) => body.startsWith(slot) && !seen.has(body)).at(-1)).toBe(last.body);
        }
        expect(queue.status().open).toBe(0);
        expect((await store.read()).map(({ body }) => body).sort()).toEqual([...seen].sort());
        queue.end();
      }),
      { numRuns: 150 },
    );
  });
});
