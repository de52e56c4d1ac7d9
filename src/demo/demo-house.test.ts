import { describe, expect, it } from 'vitest';
import { anatomy } from '../catalogue/anatomy';
import { openDatabase } from '../server/db/connection';
import { readClient } from '../server/clients/read-client';
import { readDay } from '../server/visits/read-day';
import { ensureDemoHouse } from './demo-house';
import { demoClients } from './clients.data';

const now = new Date(2026, 10, 25, 8, 0);

describe('the demo house', () => {
  it('has visits today, history with a falling excess, and is the same every time', async () => {
    const [a, b] = [openDatabase(':memory:'), openDatabase(':memory:')];
    await ensureDemoHouse(a, now);
    await ensureDemoHouse(b, now);
    const [dayA, dayB] = [await readDay(a, now, now), await readDay(b, now, now)];
    expect(dayA).toEqual(dayB);
    expect(dayA.visits).toHaveLength(9);
    const marit = demoClients.findIndex((c) => c.name === 'Marit Olsvang') + 1;
    const client = await readClient(a, marit, now);
    const excesses = client?.history.flatMap((entry) => entry.excessMl ?? []) ?? [];
    expect(excesses).toHaveLength(9);
    expect(excesses[0]).toBeLessThan(excesses.at(-1) ?? 0);
  });

  it('keeps what is there when started again, and fills only an empty day', async () => {
    const db = openDatabase(':memory:');
    await ensureDemoHouse(db, now);
    const count = async () =>
      (
        await db
          .selectFrom('visit')
          .select((eb) => eb.fn.countAll<number>().as('n'))
          .executeTakeFirstOrThrow()
      ).n;
    const before = await count();
    await ensureDemoHouse(db, now);
    expect(await count()).toBe(before);
    await ensureDemoHouse(db, new Date(2026, 11, 9, 8, 0));
    expect(await count()).toBe(before + 9);
  });

  it('covers every worked case with clients whose places exist', () => {
    expect(demoClients.length).toBeGreaterThanOrEqual(25);
    for (const client of demoClients) {
      for (const id of client.findings.flatMap((f) => [...(f.regions ?? []), ...(f.crosses ?? []).flat()])) {
        expect(anatomy.territories.has(id) || anatomy.basins.has(id), id).toBe(true);
      }
    }
  });
});
