import { describe, expect, it } from 'vitest';
import { openSession } from '../auth/sessions';
import { now, openHouse } from '../shared/test-house';
import { sharerOf } from './sharer';

const address = '10.0.0.7';
/** Who has opened the house. */
const therapistId = 1;

describe('a share of computing', () => {
  it('is a person’s own when they are signed in, also when their address has used up its share', async () => {
    const { db } = await openHouse();
    const token = await openSession(db, therapistId, now);
    expect(await sharerOf({ token, address, now }, () => Promise.resolve(db))).toBe(`staff ${therapistId}`);
  });

  it('is that of the address for everybody else, also with a cookie that was made up', async () => {
    const { db } = await openHouse();
    expect(await sharerOf({ token: undefined, address, now }, () => Promise.resolve(db))).toBe(address);
    expect(await sharerOf({ token: 'made-up', address, now }, () => Promise.resolve(db))).toBe(address);
  });

  it('is that of the address while the house is closed, broken or slow: computing needs no house', async () => {
    const asker = { token: 'any', address, now };
    expect(await sharerOf(asker, () => Promise.reject(new Error('sealed')))).toBe(address);
    expect(await sharerOf(asker, () => new Promise(() => undefined))).toBe(address);
  });
});
