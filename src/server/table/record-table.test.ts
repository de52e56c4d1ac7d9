import { beforeEach, describe, expect, it } from 'vitest';
import type { TableEvent } from '../../core/table/table-event';
import { listAudit } from '../house/audit.repository';
import { actor, admit, openHouse, type TestHouse } from '../shared/test-house';
import { bookFor, mayAll, planFor } from '../treatments/treatment-fixtures';
import { readVisit } from '../visits/read-visit';
import { readTableNow, readyForTable, recordEvents, takeLead } from './record-table';

/** The table: who may begin, who leads, and that nothing that was sent is lost or counted twice. */

let house: TestHouse;
let visit: number;
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
  visit = await bookFor(house, 0, ['stones-neck']);
});

type Said = Partial<Pick<TableEvent, 'mark' | 'oil' | 'drops' | 'side'>>;
const event = (kind: TableEvent['kind'], id: string, change: Said = {}): TableEvent => ({
  ...{ id, kind, stepId: null, planVersion: 1, at: actor.now.toISOString() },
  ...change,
});
const begin = event('start', 'e1');
const send = (deviceId: string, ...events: readonly TableEvent[]) =>
  recordEvents(house.db, visit, { deviceId, events }, actor);
const ready = async () => {
  await planFor(house, visit, ['stones-neck']);
  await admit(house.db, visit);
};
const first = async () => (await readyForTable(house.db, visit))?.[0]?.path;

describe('before the table', () => {
  it('asks for a plan first, then for what has to be asked of a client', async () => {
    expect(await first()).toBe('plan');
    await planFor(house, visit, ['stones-neck']);
    expect(await first()).not.toBe('plan');
    expect(await first()).toBeDefined();
    await admit(house.db, visit);
    expect(await readyForTable(house.db, visit)).toEqual([]);
  });

  it('knows no visit that there is not', async () => {
    expect(await readyForTable(house.db, 999)).toBeUndefined();
    expect(await recordEvents(house.db, 999, { deviceId: 'a', events: [begin] }, actor)).toEqual({ kind: 'not-found' });
    expect(await takeLead(house.db, 999, 'a', actor)).toEqual({ kind: 'not-found' });
  });

  it('refuses the first event of a visit that is not ready, and keeps nothing', async () => {
    expect(await send('a', begin)).toMatchObject({ kind: 'refused', errors: [{ path: 'plan' }] });
    expect(await readTableNow(house.db, visit)).toEqual({ events: [], lead: null });
  });

  it('refuses a plan of before the visit was stopped', async () => {
    await ready();
    await house.db.updateTable('visit').set({ stage: 'stopped' }).where('id', '=', visit).execute();
    expect(await first()).toBe('check');
  });
});

describe('events of the table', () => {
  beforeEach(ready);

  it('are stored once, however often they are sent', async () => {
    expect(await send('a', begin)).toMatchObject({ kind: 'saved', stored: 1, isAside: false });
    expect(await send('a', begin, event('pause', 'e2'))).toMatchObject({ stored: 1 });
    expect(await send('a', begin)).toMatchObject({ stored: 0 });
    expect((await readTableNow(house.db, visit)).events).toHaveLength(2);
  });

  it('bring the visit to the table, and to its end', async () => {
    await send('a', begin);
    expect((await readVisit(house.db, visit))?.stage).toBe('table');
    await send('a', event('finish', 'e9'));
    expect((await readVisit(house.db, visit))?.stage).toBe('close');
  });

  it('of a second device are kept aside, and do not end the treatment', async () => {
    await send('a', begin);
    expect(await send('b', event('finish', 'e9'))).toMatchObject({ kind: 'saved', stored: 1, isAside: true });
    expect((await readVisit(house.db, visit))?.stage).toBe('table');
    const now = await readTableNow(house.db, visit);
    expect(now.events.map(({ id }) => id)).toEqual(['e1']);
    expect(now.lead?.deviceId).toBe('a');
  });

  it('come from the second device once it has taken over, which is written down', async () => {
    await send('a', begin);
    const taken = await takeLead(house.db, visit, 'b', actor);
    expect(taken).toMatchObject({ kind: 'saved', lead: { deviceId: 'b' }, events: [{ id: 'e1' }] });
    expect(await send('b', event('finish', 'e9'))).toMatchObject({ isAside: false });
    expect(await send('a', event('pause', 'e5'))).toMatchObject({ isAside: true });
    const seen = await listAudit(house.db, {}, { from: 0, count: 20 });
    expect(seen.filter(({ action }) => action === 'table taken over')).toHaveLength(1);
  });

  it('change nothing when the device that leads takes the lead again', async () => {
    await send('a', begin);
    await takeLead(house.db, visit, 'a', actor);
    const seen = await listAudit(house.db, {}, { from: 0, count: 20 });
    expect(seen.map(({ action }) => action)).not.toContain('table taken over');
  });

  it('say the side of a mark later, whichever device says it', async () => {
    await send('a', begin, event('mark', 'm1', { mark: 'tender' }));
    const side = event('mark', 'm1-side', { mark: 'tender', side: 'left' });
    expect(await send('b', side)).toMatchObject({ kind: 'saved', isAside: false });
  });

  it('name no oil that there is not, with its place among them', async () => {
    await send('a', begin);
    const drop = event('drops', 'd1', { oil: 'moonflower', drops: 2 });
    expect(await send('a', event('pause', 'e3'), drop)).toMatchObject({
      ...{ kind: 'refused', errors: [{ path: 'events.1.oil' }] },
    });
    expect((await readTableNow(house.db, visit)).events).toHaveLength(1);
  });
});
