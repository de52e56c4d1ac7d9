import { addDays, addHours } from 'date-fns';
import { beforeEach, describe, expect, it } from 'vitest';
import { PatchReadingInput, PatchTestInput } from '../../contracts/oil-house';
import { actor, now, openHouse, type TestHouse } from '../shared/test-house';
import { listPatches, patchTestsDue, placePatchTest, readPatch, readPatchTest } from './patch-tests';

/** A drop on the inside of the arm, looked at twice: what may be said of it, and when. */

let house: TestHouse;
let test: number;
beforeEach(async () => {
  house = await openHouse();
  const input = PatchTestInput.parse({ clientId: house.client, what: 'Evening blend' });
  const placed = await placePatchTest(house.db, input, actor);
  if (placed.kind !== 'saved') throw new Error(JSON.stringify(placed));
  test = placed.id;
});
const at = (hours: number) => ({ ...actor, now: addHours(now, hours) });
const read = (reading: string, hours: number) =>
  readPatchTest(house.db, test, PatchReadingInput.parse({ reading, note: '' }), at(hours));
const state = async (hours: number) => (await readPatch(house.db, house.client, at(hours).now))?.state;

describe('a patch test', () => {
  it('waits, and then is due, in the thread of the day too', async () => {
    expect(await state(1)).toBe('waiting');
    expect(await state(30)).toBe('due');
    const due = await patchTestsDue(house.db, at(30).now);
    expect(due).toMatchObject([{ client: 'Zoë Ahorn', clientId: house.client, isDue: true }]);
    expect(due[0]?.words).toContain('to be read now');
  });

  it('is not called clear too early, and a reaction is taken at any time', async () => {
    const early = await read('clear', 1);
    expect(early).toMatchObject({ kind: 'refused', errors: [{ path: 'reading' }] });
    expect(JSON.stringify(early)).toContain('Too early to call it clear');
    expect((await read('mild', 1)).kind).toBe('saved');
    expect(await state(2)).toBe('reacted');
    expect(await patchTestsDue(house.db, at(2).now)).toEqual([]);
  });

  it('is clear after two clear readings, and takes no more', async () => {
    expect((await read('clear', 30)).kind).toBe('saved');
    expect(await state(31)).not.toBe('clear');
    expect((await read('clear', 100)).kind).toBe('saved');
    expect(await state(101)).toBe('clear');
    expect(await read('mild', 102)).toMatchObject({ kind: 'refused', errors: [{ path: 'reading' }] });
  });

  it('is kept beside those before it, the newest first', async () => {
    const later = { ...actor, now: addDays(now, 10) };
    await placePatchTest(house.db, PatchTestInput.parse({ clientId: house.client, what: 'Citrus' }), later);
    expect((await listPatches(house.db, house.client, later.now)).map(({ what }) => what)).toEqual([
      'Citrus',
      'Evening blend',
    ]);
  });

  it('of nobody is not found', async () => {
    const nobody = PatchTestInput.parse({ clientId: 999, what: 'Citrus' });
    expect(await placePatchTest(house.db, nobody, actor)).toEqual({ kind: 'not-found' });
    const clear = PatchReadingInput.parse({ reading: 'clear', note: '' });
    expect(await readPatchTest(house.db, 999, clear, actor)).toEqual({ kind: 'not-found' });
    expect(await readPatch(house.db, 999, now)).toBeNull();
  });
});
