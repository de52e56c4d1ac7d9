import { beforeEach, describe, expect, it } from 'vitest';
import { defaultSchool } from '../../core/drainage/case';
import { ClosingInput } from '../../contracts/closing';
import type { TableEvent } from '../../core/table/table-event';
import { noteFrom } from '../../core/visit/note-doc';
import { finishVisit, saveClosing, saveFeedback } from './close-visit';
import { actor, closing, now, openHouse, type TestHouse, admit } from '../shared/test-house';
import { makePlan } from '../drainage/make-plan';
import { readClose } from './read-close';
import { readDay } from './read-day';
import { readFeedbackTablet, readTablet } from './read-tablet';
import { readVisit } from './read-visit';
import { recordEvents } from '../table/record-table';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});
const latest = async () => (await readVisit(house.db, house.visit))?.closing;
const store = (input: Parameters<typeof closing>[0]) => saveClosing(house.db, house.visit, closing(input), actor);

/** Plans the visit and gives its first step, up to the end. */
async function giveIt() {
  await admit(house.db, house.visit);
  await makePlan(house.db, house.visit, { school: defaultSchool, minutes: 45, fill: false, basedOn: 0 }, actor);
  const at = now.toISOString();
  const event = (kind: TableEvent['kind'], stepId: string | null): TableEvent => ({
    ...{ id: `event-${kind}-1`, kind, stepId, at, planVersion: 1 },
  });
  const events = [event('start', 's1'), event('end', 's1'), event('finish', null)];
  await recordEvents(house.db, house.visit, { deviceId: 'the-table', events }, actor);
}

describe('what the client answers', () => {
  it('is laid on top of what is there, and remembered as their own', async () => {
    await store({ pressure: 0, comfort: 5, redness: 1, note: 'calm', basedOn: 0 });
    expect((await saveFeedback(house.db, house.visit, { comfort: 9, relaxationAfter: 8 }, actor)).kind).toBe('saved');
    await saveFeedback(house.db, house.visit, { warmth: 0 }, actor);
    expect(await latest()).toMatchObject({
      ...{ version: 3, pressure: 0, comfort: 9, relaxationAfter: 8, warmth: 0, redness: 1, note: 'calm' },
      byClient: ['comfort', 'warmth', 'relaxationAfter'],
    });
    expect((await saveFeedback(house.db, 9999, { comfort: 1 }, actor)).kind).toBe('not-found');
  });

  it('can be the first of all answers', async () => {
    await saveFeedback(house.db, house.visit, { pressure: -1 }, actor);
    expect(await latest()).toMatchObject({ version: 1, pressure: -1, comfort: null, byClient: ['pressure'] });
  });

  it('is asked only after the treatment; before it the tablet asks what is to be known', async () => {
    expect(await readFeedbackTablet(house.db, house.visit)).toBeUndefined();
    expect(await readTablet(house.db, house.visit)).toBeDefined();
    await giveIt();
    const view = await readFeedbackTablet(house.db, house.visit);
    expect(view).toMatchObject({ firstName: 'Zoë', isScented: false });
    expect(JSON.stringify(view)).not.toMatch(/Ahorn|removed/);
  });
});

describe('a note with a form', () => {
  it('is kept beside its plain text, which the house reads from it', async () => {
    const noteDoc = noteFrom('Slept.\nTighter at the left calf.');
    await store({ pressure: null, comfort: null, redness: null, note: 'something else', noteDoc, basedOn: 0 });
    expect(await latest()).toMatchObject({ note: 'Slept.\nTighter at the left calf.', noteDoc });
  });

  it('is refused when it is too long, or holds what a note may not hold', async () => {
    const noteDoc = noteFrom('x'.repeat(3000) + '\n' + 'y'.repeat(3000));
    const long = await store({ pressure: null, comfort: null, redness: null, noteDoc, basedOn: 0 });
    expect(long).toMatchObject({ kind: 'refused', errors: [{ path: 'note' }] });
    const script = { type: 'doc', content: [{ type: 'iframe', attrs: { src: 'x' } }] };
    const input = { pressure: null, comfort: null, redness: null, noteDoc: script, basedOn: 0 };
    expect(ClosingInput.safeParse(input).success).toBe(false);
  });
});

describe('signing off', () => {
  it('names the version that was signed; a correction has a signature of its own, and nothing is signed twice', async () => {
    await store({ pressure: 0, comfort: 8, redness: 1, basedOn: 0 });
    await finishVisit(house.db, house.visit, actor);
    await finishVisit(house.db, house.visit, actor);
    const signed = async () => (await readVisit(house.db, house.visit))?.signatures.map(({ version }) => version);
    expect(await signed()).toEqual([1]);
    await store({ pressure: 0, comfort: 7, redness: 1, basedOn: 1 });
    expect(await signed()).toEqual([1]);
    await finishVisit(house.db, house.visit, actor);
    expect(await signed()).toEqual([1, 2]);
    expect((await readVisit(house.db, house.visit))?.signatures[0]?.by).toBe('Ida Moor');
  });
});

describe('the end of a visit', () => {
  it('proposes what to mind by what was done and by the client', async () => {
    await giveIt();
    const close = await readClose(house.db, house.visit);
    expect(close?.aftercare).toEqual(expect.arrayContaining(['garment', 'no-heat', 'get-up-slowly', 'not-normal']));
    expect(close?.aftercare).not.toContain('oil-stays');
    expect(await readClose(house.db, 9999)).toBeUndefined();
  });

  it('reminds the day of the skin ten minutes later, until it was looked at', async () => {
    const reminders = async () =>
      (await readDay(house.db, now, now)).visits[0]?.tasks.filter(({ text }) => text === 'Look at the skin again');
    expect(await reminders()).toEqual([]);
    await giveIt();
    expect(await reminders()).toMatchObject([{ when: 'at 8:10', done: false }]);
    await store({ pressure: null, comfort: null, redness: 2, rednessBefore: 0, basedOn: 0 });
    expect(await reminders()).toHaveLength(1);
    await store({ pressure: null, comfort: null, redness: 2, rednessBefore: 0, fadeMinutes: 15, basedOn: 1 });
    expect(await reminders()).toEqual([]);
  });
});
