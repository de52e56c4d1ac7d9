import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type EventStore, openEventStore, type OwnEvent } from './event-store';

const event = (number: number): OwnEvent => ({
  ...{ id: `press-${number}`, kind: 'start', stepId: 's1', at: '2026-01-01T09:00:00.000Z', planVersion: 1 },
  ...{ number, isAcknowledged: false },
});

const writer = { owner: 'person-1', key: new Uint8Array(32).fill(5) };

/** What every store must do; the browser’s database is tried in the journeys, where there is one. */
async function keeps(store: EventStore) {
  await store.put(7, [event(1), event(2)]);
  await store.put(7, [event(2), event(3)]);
  await store.put(8, [event(1)]);
  await store.acknowledge(7, new Set(['press-1', 'press-3']));
  expect((await store.read(7)).map(({ id, isAcknowledged }) => [id, isAcknowledged])).toEqual([
    ['press-1', true],
    ['press-2', false],
    ['press-3', true],
  ]);
  await store.forget(7);
  expect(await store.read(7)).toEqual([]);
  expect(await store.read(8)).toHaveLength(1);
}

describe('where a device keeps its presses', () => {
  beforeEach(() => vi.stubGlobal('indexedDB', undefined));
  afterEach(() => vi.unstubAllGlobals());

  it('is memory where the browser refuses all else', async () => {
    vi.stubGlobal('window', {});
    const store = await openEventStore(writer);
    expect(store.kind).toBe('memory');
    await keeps(store);
  });

  it('is the page’s store where there is no database', async () => {
    const kept = new Map<string, string>();
    const localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => void kept.set(key, text),
      removeItem: (key: string) => void kept.delete(key),
    };
    vi.stubGlobal('window', { localStorage });
    vi.stubGlobal('localStorage', localStorage);
    const store = await openEventStore(writer);
    expect(store.kind).toBe('page-store');
    await keeps(store);
    expect([...kept.keys()]).toEqual(['table person-1 8']);
    // Whoever finds the device reads nothing of it.
    expect([...kept.values()].join()).not.toContain('press-1');
  });

  it('is memory where nobody is known to keep them for', async () => {
    expect((await openEventStore(undefined)).kind).toBe('memory');
  });

  it('throws when it is full, so that the therapist can be told', async () => {
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    let isFull = false;
    const localStorage = {
      getItem: () => null,
      setItem: () => (isFull ? full() : undefined),
      removeItem: () => undefined,
    };
    vi.stubGlobal('window', { localStorage });
    vi.stubGlobal('localStorage', localStorage);
    const store = await openEventStore(writer);
    isFull = true;
    await expect(store.put(7, [event(1)])).rejects.toThrow('full');
  });
});
