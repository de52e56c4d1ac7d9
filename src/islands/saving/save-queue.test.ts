import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { saveQueue } from './save-queue';
import { type Answer, conflict, device, house, queueTo, refused, unreachable } from './test-house';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

const pass = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

describe('answers on their way to the house', () => {
  it('are sent one after the other, in the order in which they were given', async () => {
    const there = house();
    const queue = queueTo(there);
    void queue.begin();
    for (const body of ['a', 'b', 'c', 'd']) queue.addOneMore('any', body);
    await pass(100);
    expect(there.stored).toEqual(['a', 'b', 'c', 'd']);
    expect(there.mostAtOnce()).toBe(1);
    expect(queue.status()).toMatchObject({ kind: 'saved', open: 0 });
  });

  it('of one slot take the place of what still waits, and of nothing that is under way', async () => {
    const there = house();
    const queue = queueTo(there);
    void queue.begin();
    await pass();
    queue.add('note', 'D');
    await pass(1);
    queue.add('note', 'De');
    queue.add('oil', '3');
    queue.add('note', 'Dear');
    await pass(100);
    expect(there.stored).toEqual(['D', '3', 'Dear']);
  });

  it('that are being typed are on the device at once, and are sent when the hand rests, or when it is asked for', async () => {
    const store = device();
    const there = house();
    const queue = queueTo(there, { openStore: () => Promise.resolve(store) });
    void queue.begin();
    await pass();
    for (const body of ['D', 'De', 'Dea', 'Dear']) {
      queue.add('note', body, 600);
      await pass(200);
    }
    expect(there.stored).toEqual([]);
    expect((await store.read()).map(({ body }) => body)).toEqual(['Dear']);
    await pass(600);
    expect(there.stored).toEqual(['Dear']);
    queue.add('note', 'Dear!', 600);
    const settled = queue.settle();
    await pass(10);
    expect(await settled).toBe(true);
    expect(there.stored).toEqual(['Dear', 'Dear!']);
  });

  it('wait when nobody answers, and are tried again, later each time, up to half a minute', async () => {
    const tries: number[] = [];
    const there = house();
    there.become(() => {
      tries.push(Date.now());
      return unreachable;
    });
    const queue = queueTo(there);
    void queue.begin();
    queue.add('note', 'a');
    await pass(200_000);
    const gaps = tries.slice(1).map((at, i) => Math.round((at - (tries[i] ?? 0)) / 1000));
    expect(gaps.slice(0, 7)).toEqual([1, 2, 4, 8, 16, 30, 30]);
    expect(queue.status()).toMatchObject({ kind: 'waiting', open: 1 });
    there.become(() => undefined);
    queue.retry();
    await pass(10);
    expect(queue.status().kind).toBe('saved');
  });

  it('wait as long as the house asks for', async () => {
    const tries: number[] = [];
    const there = house(() => {
      tries.push(Date.now());
      return { kind: 'unreachable', afterMs: 7000 };
    });
    const queue = queueTo(there);
    void queue.begin();
    queue.add('note', 'a');
    await pass(7100);
    expect((tries[1] ?? 0) - (tries[0] ?? 0)).toBeGreaterThanOrEqual(7000);
  });

  it('are stored once when the house had them and only its answer was lost', async () => {
    const there = house(() => 'lost-answer');
    const queue = queueTo(there);
    void queue.begin();
    queue.add('note', 'a');
    await pass(10);
    expect(queue.status().kind).toBe('waiting');
    there.become(() => undefined);
    await pass(2000);
    expect(there.stored).toEqual(['a']);
    expect(queue.status().kind).toBe('saved');
  });

  it('that are refused stand aside and are to be seen; the others go on', async () => {
    const there = house(({ body }) => (body === 'bad' ? refused : undefined));
    const queue = queueTo(there);
    void queue.begin();
    queue.add('one', 'bad');
    queue.add('two', 'good');
    await pass(100);
    expect(there.stored).toEqual(['good']);
    expect(queue.status()).toMatchObject({ kind: 'refused', open: 0, refused: [{ draft: { body: 'bad' } }] });
    expect(await queue.settle()).toBe(false);
    queue.add('one', 'better');
    await pass(100);
    expect(there.stored).toEqual(['good', 'better']);
    expect(queue.status()).toMatchObject({ kind: 'saved', refused: [] });
  });

  it('that are refused can be given up', async () => {
    const store = device();
    const there = house(() => refused);
    const queue = queueTo(there, { openStore: () => Promise.resolve(store) });
    void queue.begin();
    const { id } = queue.add('one', 'bad');
    await pass(100);
    expect(await store.read()).toHaveLength(1);
    queue.discard(id);
    await pass();
    expect(queue.status().kind).toBe('saved');
    expect(await store.read()).toEqual([]);
  });

  it('of a form are answered to the form, and refused ones are not kept beside it', async () => {
    const store = device();
    const there = house(({ body }) => (body === 'bad' ? refused : undefined));
    const queue = queueTo(there, { openStore: () => Promise.resolve(store) });
    void queue.begin();
    const first = queue.submit('form', 'bad');
    const second = queue.submit('form', 'good');
    await pass(100);
    expect(await first).toEqual(refused);
    expect(await second).toMatchObject({ kind: 'saved' });
    expect(queue.status()).toMatchObject({ kind: 'saved', refused: [] });
    expect(await store.read()).toEqual([]);
  });

  it('of a form that somebody else was faster with are given back, too, and hold nothing up', async () => {
    const there = house();
    const queue = queueTo(there);
    void queue.begin();
    there.edit();
    const first = queue.submit('form', 'mine');
    await pass(100);
    expect(await first).toEqual(conflict);
    expect(queue.status()).toMatchObject({ kind: 'saved', open: 0, conflict: undefined });
  });

  it('that wait can be told the number of what they correct, once it has one', async () => {
    const store = device();
    const there = house();
    const queue = queueTo(there, {
      openStore: () => Promise.resolve(store),
      onSaved: () => queue.rewrite((body) => body.replace('?', '7')),
    });
    void queue.begin();
    await pass();
    queue.addOneMore('pit', 'first');
    queue.addOneMore('pit', 'corrects ?');
    await pass(100);
    expect(there.stored).toEqual(['first', 'corrects 7']);
  });

  it('that the page cannot even send are to be seen, too', async () => {
    const queue = saveQueue<string, Answer>({ deliver: () => Promise.reject(new TypeError('no such thing')) });
    void queue.begin();
    queue.add('one', 'a');
    await pass(100);
    expect(queue.status().refused[0]).toMatchObject({ draft: { body: 'a' }, problem: { detail: 'no such thing' } });
  });
});

describe('two who write the same', () => {
  async function inConflict() {
    const there = house();
    const queue = queueTo(there);
    void queue.begin();
    there.edit();
    queue.add('note', 'mine');
    await pass(100);
    return { there, queue };
  }

  it('are told, and nothing more is sent until it is decided', async () => {
    const { there, queue } = await inConflict();
    queue.add('other', 'later');
    await pass(100_000);
    expect(queue.status()).toMatchObject({ kind: 'conflict', open: 2, conflict: { draft: { body: 'mine' } } });
    expect(there.stored).toEqual([]);
  });

  it('may keep what they wrote, on top of the other', async () => {
    const { there, queue } = await inConflict();
    queue.add('note', 'mine, and more');
    expect(queue.status().conflict?.draft.body).toBe('mine, and more');
    queue.overwrite(there.version());
    await pass(100);
    expect(there.stored).toEqual(['mine, and more']);
    expect(queue.status().kind).toBe('saved');
  });

  it('may give up what they wrote, and see what is given up', async () => {
    const { there, queue } = await inConflict();
    expect(queue.yieldTo(there.version()).map(({ body }) => body)).toEqual(['mine']);
    await pass(100);
    expect(queue.status().kind).toBe('saved');
    queue.add('note', 'again');
    await pass(100);
    expect(there.stored).toEqual(['again']);
  });

  it('are not told of their own saves: each is written over the one before', async () => {
    const there = house();
    const queue = queueTo(there);
    void queue.begin();
    await pass();
    for (const body of ['a', 'b', 'c']) {
      queue.add('note', body);
      await pass(3);
    }
    await pass(100);
    expect(queue.status().kind).toBe('saved');
    expect(there.stored.at(-1)).toBe('c');
  });
});

describe('many at once', () => {
  it('go in one request, as many as it holds', async () => {
    const sizes: number[] = [];
    const queue = saveQueue<string, Answer>({
      deliver: (drafts) => {
        sizes.push(drafts.length);
        return Promise.resolve({ kind: 'saved', answer: { version: 1 } });
      },
      mostAtOnce: 3,
    });
    for (let i = 0; i < 7; i += 1) queue.addOneMore('event', String(i));
    void queue.begin();
    await pass(10);
    expect(sizes).toEqual([3, 3, 1]);
  });

  it('go one by one after a refusal, so that only the one which is wrong stands aside', async () => {
    const there = house(({ body }) => (body === '2' ? refused : undefined));
    const queue = queueTo(there, { mostAtOnce: 5 });
    for (let i = 0; i < 5; i += 1) queue.addOneMore('event', String(i));
    void queue.begin();
    await pass(200);
    expect(there.stored).toEqual(['0', '1', '3', '4']);
    expect(queue.status().refused.map(({ draft }) => draft.body)).toEqual(['2']);
  });
});

describe('a device', () => {
  it('has an answer before it is sent', async () => {
    const store = device();
    const seen: number[] = [];
    const queue = saveQueue<string, Answer>({
      openStore: () => Promise.resolve(store),
      deliver: async () => {
        seen.push((await store.read()).length);
        return { kind: 'saved', answer: { version: 1 } };
      },
    });
    void queue.begin();
    await pass();
    queue.add('note', 'a');
    await pass(10);
    expect(seen).toEqual([1]);
    expect(await store.read()).toEqual([]);
  });

  it('that is full says so, and what can be sent is sent', async () => {
    const there = house();
    const full = { ...device(), put: () => Promise.reject(new Error('QuotaExceededError')) };
    const queue = queueTo(there, { openStore: () => Promise.resolve(full) });
    void queue.begin();
    queue.add('note', 'a');
    await pass(100);
    expect(there.stored).toEqual(['a']);
    expect(queue.status().isOnDevice).toBe(false);
  });

  it('hands the next page what the one before could not send', async () => {
    const store = device();
    const there = house(() => unreachable);
    const first = queueTo(there, { openStore: () => Promise.resolve(store) });
    void first.begin();
    first.add('note', 'a');
    first.add('oil', 'b');
    await pass(10);
    first.end();
    there.become(() => undefined);
    const second = queueTo(there, { openStore: () => Promise.resolve(store) });
    const left = await second.begin();
    expect(left.map(({ body }) => body)).toEqual(['a', 'b']);
    await pass(100);
    expect(there.stored).toEqual(['a', 'b']);
  });

  it('that is slow to open hands back nothing of what is given meanwhile, nor sends what was replaced', async () => {
    const there = house();
    const store = device();
    const slow = {
      ...store,
      // What was found is told late, and what is given up goes later still.
      read: async () => {
        await new Promise((resolve) => setTimeout(resolve, 50));
        const found = await store.read();
        await new Promise((resolve) => setTimeout(resolve, 50));
        return found;
      },
      remove: async (ids: readonly string[]) => {
        await new Promise((resolve) => setTimeout(resolve, 500));
        await store.remove(ids);
      },
    };
    const queue = queueTo(there, { openStore: () => Promise.resolve(slow) });
    const left = queue.begin();
    await pass(10);
    queue.add('note', 'a');
    await pass(10);
    queue.add('note', 'a and b');
    await pass(1000);
    expect(await left).toEqual([]);
    expect(there.stored).toEqual(['a and b']);
  });

  it('asks before it writes over what somebody else saved while the page was away', async () => {
    const store = device();
    const there = house(() => unreachable);
    const first = queueTo(there, { openStore: () => Promise.resolve(store) });
    void first.begin();
    first.add('note', 'a');
    await pass(10);
    first.end();
    there.edit();
    there.become(() => undefined);
    const second = queueTo(there, { openStore: () => Promise.resolve(store) });
    await second.begin();
    second.add('note', 'a and b');
    await pass(100);
    expect(second.status()).toMatchObject({ kind: 'conflict', conflict: { draft: { body: 'a and b' } } });
  });
});
