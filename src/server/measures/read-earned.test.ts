import { beforeEach, describe, expect, it } from 'vitest';
import { leastVisits } from '../../core/change/earned';
import { ObservationInput } from '../../contracts/measures';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { bookFor, give, mayAll } from '../treatments/treatment-fixtures';
import { readEarned } from './read-earned';
import { readMeasured } from './read-measured';
import { saveObservation } from './save-observation';
import { readTogetherOfHouse } from './together';

/** What was really done at a client's visits, beside what changed at them. */

const protocol = 'neck-release';

describe('which work went together with what changed', () => {
  let house: TestHouse;
  beforeEach(async () => {
    house = await openHouse();
    await mayAll(house);
  });

  const tight = async (visit: number, phase: 'before' | 'after', tightness: number) => {
    const value = { tightness, heaviness: null, pain: null, movement: null, calfPain: null };
    const input = ObservationInput.parse({ phase, kind: 'scores', place: null, value, replaces: null });
    const saved = await saveObservation(house.db, visit, input, actor);
    if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  };
  /** Visits, every other one with twice the time at each step, after which less is tight. */
  const work = async (visits: number) => {
    for (let i = 0; i < visits; i += 1) {
      const isLong = i % 2 === 0;
      const visit = await bookFor(house, -7 * (visits - i));
      await tight(visit, 'before', 7);
      await give(house, visit, [protocol], 60, isLong ? 2 : 0.8);
      await tight(visit, 'after', (isLong ? 3 : 6) - (i % 4 === 0 ? 1 : 0));
    }
  };
  const earned = async () => readEarned(house.db, house.client, await readMeasured(house.db, house.client));

  it('is not told before there are visits enough', async () => {
    await work(leastVisits - 1);
    expect(await earned()).toEqual({ visits: leastVisits - 1, leastVisits, looked: 0, rows: [] });
  }, 60_000);

  it('sets visits with more of it beside those with less, by what the table measured', async () => {
    await work(leastVisits);
    const { rows, visits, looked } = await earned();
    expect(visits).toBe(leastVisits);
    expect(looked).toBe(rows.length);
    const [first] = rows;
    expect(first).toMatchObject({ figure: 'tight', unit: 'of 10', visits: leastVisits, isApart: true });
    expect(first?.difference).toBeGreaterThan(2);
    expect(first?.more.visits).toBe(4);
    expect(first?.more.meanSeconds).toBeGreaterThan(2 * (first?.less.meanSeconds ?? Infinity));
    expect(rows.every(({ work: done }) => done.length > 0 && !done.includes('undefined'))).toBe(true);
    expect(rows.some(({ work: done }) => done.endsWith(': left neck'))).toBe(true);
  }, 60_000);

  it('knows nothing of work that was only pressed through', async () => {
    for (let i = 0; i < leastVisits; i += 1) {
      const visit = await bookFor(house, -7 * (leastVisits - i));
      await give(house, visit, [protocol], 60, 0);
    }
    expect((await earned()).rows).toEqual([]);
  }, 60_000);

  it('tells a house nothing of so few clients, and ends where nobody waits', async () => {
    await work(leastVisits);
    const abort = new AbortController();
    expect(await readTogetherOfHouse(house.db, abort.signal)).toMatchObject({ clients: 1, leastClients: 10, rows: [] });
    abort.abort();
    await expect(readTogetherOfHouse(house.db, abort.signal)).rejects.toThrow('aborted');
  }, 60_000);
});
