import { sql } from 'kysely';
import { beforeEach, describe, expect, it } from 'vitest';
import { allNo } from '../../../tests/api/answers';
import { defaultSchool } from '../../core/drainage/case';
import type { TableEvent } from '../../core/table/table-event';
import type { Db } from '../db/connection';
import { answerCheck } from './answer-check';
import { finishVisit, saveClosing } from './close-visit';
import { addFinding, removeFinding, takeBackFinding } from '../screening/save-finding';
import { actor, book as bookIn, closing, finding, now, openHouse, taping, admit } from '../shared/test-house';
import { handOver } from './hand-over';
import { makePlan, rearrangeCourse } from '../drainage/make-plan';
import { changeOf, findClients, readClient } from '../clients/read-client';
import { readDay } from './read-day';
import { insertTherapist, updateTherapist } from '../people/people.repository';
import { readVisit } from './read-visit';
import { countAside } from '../table/table-events.repository';
import { readTableNow, readyForTable, recordEvents, takeLead } from '../table/record-table';
import { saveTaping } from '../measures/save-taping';
import { setUpHouse } from '../people/set-up-house';

const wish = { school: defaultSchool, minutes: 45, fill: true };
const legs = taping({
  phase: 'before',
  limb: 'leg',
  side: 'left',
  unit: 'cm',
  method: 'frustum',
  positions: [0, 4, 8, 12],
  affected: [23, 25, 28, 32],
  reference: [22, 24, 27, 30],
  basedOn: 0,
});

let db: Db;
let visit: number;
let client: number;
const book = (daysFromNow: number, therapistId = 1) => bookIn({ db, client }, daysFromNow, therapistId);

beforeEach(async () => {
  ({ db, client, visit } = await openHouse());
});

describe('setting up a house', () => {
  it('happens once', async () => {
    const again = await setUpHouse(
      db,
      { name: 'Other', therapistName: 'Else', login: 'else', password: 'x', pin: '', qualifications: [] },
      actor,
    );
    expect(again.kind).toBe('edited-elsewhere');
  });
});

describe('a client', () => {
  it('is found without accents and shown with what is known', async () => {
    expect(await findClients(db, 'zoe aho', now)).toMatchObject([{ name: 'Zoë Ahorn', age: 56, lastVisit: null }]);
    const view = await readClient(db, client, now);
    expect(view?.client.about).toBe('Left groin nodes removed');
    expect(await readClient(db, 99, now)).toBeUndefined();
  });

  it('keeps an ended finding in the history, with who ended it', async () => {
    const [placed] = (await readClient(db, client, now))?.findings ?? [];
    expect((await removeFinding(db, client, placed?.key ?? 0, actor)).kind).toBe('saved');
    expect((await takeBackFinding(db, client, placed?.key ?? 0, actor)).kind).toBe('saved');
    expect((await takeBackFinding(db, client, placed?.key ?? 0, actor)).kind).toBe('not-found');
    expect((await removeFinding(db, client, placed?.key ?? 0, actor)).kind).toBe('saved');
    expect((await readClient(db, client, now))?.findings).toEqual([]);
    const rows = await db.selectFrom('finding').selectAll().execute();
    expect(rows).toMatchObject([{ ended_by: 1, ended_at: now.toISOString() }]);
  });

  it('does not take findings that lie before birth, or for somebody unknown', async () => {
    const early = await addFinding(
      db,
      client,
      finding({ id: 'port', regions: ['chest-upper.left'], sinceOn: '1950-01-01' }),
      actor,
    );
    expect(early).toMatchObject({ kind: 'refused', errors: [{ path: 'sinceOn' }] });
    expect((await addFinding(db, 99, finding({ id: 'cancer-past' }), actor)).kind).toBe('not-found');
  });
});

describe('a glance at the day', () => {
  it('never names a disease', async () => {
    await addFinding(db, client, finding({ id: 'cancer-past' }), actor);
    expect((await readDay(db, now, now)).visits[0]?.client.about).toBe('Left groin nodes removed');
    expect((await readClient(db, client, now))?.findings).toHaveLength(2);
  });
});

describe('the check', () => {
  it('moves the visit on, back to a stop, and on again', async () => {
    const stageAfter = async (answers: Record<string, 'yes' | 'no'>) => {
      await answerCheck(db, visit, { answers }, actor);
      return (await readVisit(db, visit))?.stage;
    };
    expect(await stageAfter({ 'fever-today': 'no' })).toBe('ask');
    expect(await stageAfter(allNo)).toBe('measure');
    expect(await stageAfter({ ...allNo, 'fever-today': 'yes' })).toBe('stopped');
    expect(await stageAfter(allNo)).toBe('measure');
    const stops = await db.selectFrom('audit').selectAll().where('action', 'like', '%stopped%').execute();
    expect(stops).toMatchObject([{ detail: 'fever-today', therapist_id: 1 }]);
  });

  it('does not undo a later stage when it is looked at again', async () => {
    await answerCheck(db, visit, { answers: allNo }, actor);
    await makePlan(db, visit, { ...wish, basedOn: 0 }, actor);
    await answerCheck(db, visit, { answers: allNo }, actor);
    expect((await readVisit(db, visit))?.stage).toBe('plan');
  });
});

describe('a taping', () => {
  it('is kept in versions and compared with the visit before', async () => {
    const earlier = await book(-14);
    await saveTaping(db, earlier, { ...legs, affected: [24, 26, 30, 34] }, actor);
    await saveTaping(db, visit, legs, actor);
    const stale = await saveTaping(db, visit, legs, actor);
    expect(stale.kind).toBe('edited-elsewhere');
    const view = await readVisit(db, visit);
    expect(view?.before?.version).toBe(1);
    expect(view?.lastTime?.affected).toEqual([24, 26, 30, 34]);
    const history = (await readClient(db, client, now))?.history ?? [];
    expect(history[0]?.change).toMatchObject({ beyond: false, limitMl: 300 });
    expect(history[0]?.change?.ml).toBeLessThan(0);
  });

  it('holds the volume back until two points are there', async () => {
    const saved = await saveTaping(
      db,
      visit,
      { ...legs, affected: [23, null, null, null], reference: [null, null, null, null] },
      actor,
    );
    expect(saved).toMatchObject({ kind: 'saved', taping: { volume: null } });
  });

  it('shows one limb alone until the other has two points as well', async () => {
    const saved = await saveTaping(db, visit, { ...legs, reference: [22, null, null, null] }, actor);
    expect(saved).toMatchObject({ kind: 'saved', taping: { volume: { referenceMl: null } } });
  });

  it('refuses lists that do not belong together', async () => {
    expect(await saveTaping(db, visit, { ...legs, affected: [23] }, actor)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'affected' }],
    });
    expect(await saveTaping(db, visit, { ...legs, positions: [0, 8, 4, 12] }, actor)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'positions.2' }],
    });
    expect(await saveTaping(db, visit, { ...legs, unit: 'in', affected: [23, 25, 28, 200] }, actor)).toMatchObject({
      kind: 'refused',
      errors: [{ path: 'affected.3' }],
    });
  });

  it('is only compared over the same limb, side and stretch', async () => {
    const one = await saveTaping(db, visit, legs, actor);
    const other = await saveTaping(db, await book(7), { ...legs, side: 'right' }, actor);
    if (one.kind !== 'saved' || other.kind !== 'saved') throw new Error('not saved');
    expect(changeOf(one.taping, other.taping)).toBeNull();
    expect(changeOf(one.taping, one.taping)?.ml).toBe(0);
    expect(changeOf(one.taping, { ...one.taping, therapistId: 2 })?.limitMl).toBe(500);
  });
});

describe('the plan', () => {
  beforeEach(() => answerCheck(db, visit, { answers: allNo }, actor));

  it('is stale once a finding is added, and fresh when made again', async () => {
    await admit(db, visit);
    await makePlan(db, visit, { ...wish, basedOn: 0 }, actor);
    expect((await readVisit(db, visit))?.plan?.isStale).toBe(false);
    await addFinding(db, client, finding({ id: 'scar-mature', crosses: [['pubic.left', 'pubic.right']] }), actor);
    expect((await readVisit(db, visit))?.plan?.isStale).toBe(true);
    expect(await readyForTable(db, visit)).toMatchObject([{ path: 'plan' }]);
    await makePlan(db, visit, { ...wish, basedOn: 1 }, actor);
    expect((await readVisit(db, visit))?.plan).toMatchObject({ isStale: false, version: 2 });
    expect(await readyForTable(db, visit)).toEqual([]);
  });

  it('is not old because a sentence was reworded', async () => {
    await makePlan(db, visit, { ...wish, basedOn: 0 }, actor);
    const { case_json } = await db.selectFrom('plan').select('case_json').executeTakeFirstOrThrow();
    const reworded = JSON.parse(case_json) as { screened: { drainage: { reasons: string[] } } };
    reworded.screened.drainage.reasons = ['Said quite otherwise.'];
    await db
      .updateTable('plan')
      .set({ case_json: JSON.stringify(reworded) })
      .execute();
    expect((await readVisit(db, visit))?.plan?.isStale).toBe(false);
  });

  it('keeps who rearranged it, and why a broken rule stays', async () => {
    await admit(db, visit);
    const made = await makePlan(db, visit, { ...wish, basedOn: 0 }, actor);
    if (made.kind !== 'saved') throw new Error(made.kind);
    const order = made.plan.steps.map((step) => step.id).reverse();
    await rearrangeCourse(db, visit, { order, basedOn: 1, reason: '' }, { therapistId: 2, now });
    expect(await readyForTable(db, visit)).toMatchObject([{ path: 'reason' }]);
    await rearrangeCourse(db, visit, { order, basedOn: 2, reason: 'A trial.' }, { therapistId: 2, now });
    expect(await readyForTable(db, visit)).toEqual([]);
    const rows = await db
      .selectFrom('plan')
      .select(['version', 'recorded_by', 'is_rearranged'])
      .orderBy('version')
      .execute();
    expect(rows).toEqual([
      { version: 1, recorded_by: 1, is_rearranged: 0 },
      { version: 2, recorded_by: 2, is_rearranged: 1 },
      { version: 3, recorded_by: 2, is_rearranged: 1 },
    ]);
  });

  it('is not carried out by hands that may not, until it is handed over', async () => {
    const other = await book(1, 2);
    await admit(db, other);
    await makePlan(db, other, { ...wish, basedOn: 0 }, actor);
    expect(await readyForTable(db, other)).toMatchObject([{ path: 'plan' }]);
    const desk = await insertTherapist(db, {
      ...{ name: 'Dora Tresen', initials: 'DT', title: '', room: '', qualifications: [], role: 'assistant' as const },
    });
    expect((await handOver(db, other, desk, actor)).kind).toBe('refused');
    expect((await handOver(db, other, 77, actor)).kind).toBe('refused');
    await handOver(db, other, 1, actor);
    await makePlan(db, other, { ...wish, basedOn: 1 }, actor);
    expect(await readyForTable(db, other)).toEqual([]);
  });

  it('stays readable when whoever treated has left, or keeps the desk now', async () => {
    await updateTherapist(db, 1, { role: 'assistant', left_at: now.toISOString() });
    expect((await readVisit(db, visit))?.therapist.name).toBe('Ida Moor');
  });

  it('needs the questions answered only once, and a visit that exists', async () => {
    expect((await makePlan(db, 99, { ...wish, basedOn: 0 }, actor)).kind).toBe('not-found');
    expect(await readyForTable(db, 99)).toBeUndefined();
    expect(await readyForTable(db, visit)).toMatchObject([{ path: 'plan', message: 'Make a plan first.' }]);
  });
});

describe('the table', () => {
  const event = (id: string, kind: TableEvent['kind'], stepId: string | null): TableEvent => ({
    id,
    kind,
    stepId,
    at: now.toISOString(),
    planVersion: 1,
  });

  beforeEach(async () => {
    await admit(db, visit);
    await makePlan(db, visit, { ...wish, basedOn: 0 }, actor);
  });

  it('does not begin before what is asked has been asked, whoever goes there by address', async () => {
    const other = await book(3);
    await makePlan(db, other, { ...wish, basedOn: 0 }, actor);
    const begun = await recordEvents(db, other, { deviceId: 'the-table', events: [event('z', 'start', 's1')] }, actor);
    expect(begun).toMatchObject({ kind: 'refused', errors: [{ path: 'check' }] });
    await db.deleteFrom('consent').execute();
    await db.deleteFrom('intake_answer').execute();
    const first = await readyForTable(db, visit);
    expect(first?.[0]?.path).toBe('intake');
    expect(first?.[0]?.message).toMatch(/the full intake \(\d+ open\) and consent/);
    expect((await readVisit(db, visit))?.missing.map(({ gate }) => gate)).toEqual(['intake', 'consent']);
  });

  it('stores each event once, in the order of arrival, and moves the visit on', async () => {
    await recordEvents(
      db,
      visit,
      { deviceId: 'the-table', events: [event('a', 'start', 's1'), event('b', 'end', 's1')] },
      actor,
    );
    const again = await recordEvents(
      db,
      visit,
      { deviceId: 'the-table', events: [event('b', 'end', 's1'), event('c', 'start', 's2')] },
      actor,
    );
    expect(again).toMatchObject({ kind: 'saved', stored: 1, isAside: false });
    expect((await readVisit(db, visit))?.events).toMatchObject([{ id: 'a' }, { id: 'b' }, { id: 'c' }]);
    expect((await readVisit(db, visit))?.stage).toBe('table');
    await recordEvents(db, visit, { deviceId: 'the-table', events: [event('d', 'finish', null)] }, actor);
    expect((await readVisit(db, visit))?.stage).toBe('close');
  });

  it('is led by one device; what another sends is on record, but counts for nothing until it takes over', async () => {
    const from = (deviceId: string, ...events: readonly TableEvent[]) =>
      recordEvents(db, visit, { deviceId, events: [...events] }, actor);
    expect(await from('first-device', event('a', 'start', 's1'))).toMatchObject({
      isAside: false,
      lead: { deviceId: 'first-device' },
    });
    expect(await from('other-device', event('b', 'skip', 's1'))).toMatchObject({
      ...{ stored: 1, isAside: true, lead: { deviceId: 'first-device' } },
    });
    expect(await takeLead(db, visit, 'other-device', actor)).toMatchObject({
      ...{ kind: 'saved', events: [{ id: 'a' }], lead: { deviceId: 'other-device' } },
    });
    await from('other-device', event('c', 'end', 's1'));
    expect(await from('first-device', event('d', 'skip', 's1'))).toMatchObject({ isAside: true });
    expect((await readTableNow(db, visit)).events.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(await countAside(db, visit)).toBe(2);
    expect((await takeLead(db, 9999, 'other-device', actor)).kind).toBe('not-found');
  });

  it('keeps what it has when the disk is full, and goes on when there is room again', async () => {
    const send = (...ids: readonly string[]) =>
      recordEvents(
        ...([db, visit, { deviceId: 'the-table', events: ids.map((id) => event(id, 'start', 's1')) }, actor] as const),
      );
    await send('a');
    const { rows } = await sql<{ page_count: number }>`pragma page_count`.execute(db);
    await sql.raw(`pragma max_page_count = ${rows[0]?.page_count ?? 0}`).execute(db);
    const many = Array.from({ length: 400 }, (_, i) => `press-${i}`);
    await expect(send(...many)).rejects.toMatchObject({ code: 'SQLITE_FULL' });
    expect((await readTableNow(db, visit)).events.map(({ id }) => id)).toEqual(['a']);
    await sql.raw('pragma max_page_count = 1000000').execute(db);
    expect(await send(...many)).toMatchObject({ stored: 400 });
  });

  it('freezes the plan once it has begun', async () => {
    await recordEvents(db, visit, { deviceId: 'the-table', events: [event('a', 'start', 's1')] }, actor);
    expect((await makePlan(db, visit, { ...wish, basedOn: 1 }, actor)).kind).toBe('refused');
    expect((await rearrangeCourse(db, visit, { order: ['s1'], basedOn: 1, reason: '' }, actor)).kind).toBe('refused');
  });
});

describe('closing', () => {
  it('keeps versions and ends the visit', async () => {
    const answers = closing({ pressure: 0, comfort: 8, redness: 1, note: 'calm', basedOn: 0 });
    expect((await saveClosing(db, visit, { ...answers, basedOn: 0 }, actor)).kind).toBe('saved');
    expect((await saveClosing(db, visit, { ...answers, basedOn: 0 }, actor)).kind).toBe('edited-elsewhere');
    expect((await saveClosing(db, visit, { ...answers, comfort: 9, basedOn: 1 }, actor)).kind).toBe('saved');
    await finishVisit(db, visit, actor);
    expect(await readVisit(db, visit)).toMatchObject({ stage: 'done', closing: { version: 2, comfort: 9 } });
  });
});

describe('the day', () => {
  it('shows today’s visits with what each needs, and what was left open before', async () => {
    await book(-3);
    const day = await readDay(db, now, now);
    expect(day.title).toBe('Wednesday 25 November');
    expect(day.visits).toMatchObject([
      { id: visit, time: '9:00', stage: 'ask', client: { name: 'Zoë Ahorn', about: 'Left groin nodes removed' } },
    ]);
    expect(day.visits[0]?.tasks.map((task) => task.done)).toEqual([false, false, false, false, false]);
    expect(day.visits[0]?.tasks.map(({ text }) => text).join()).toContain('The check of today:');
    expect(day.looseEnds).toMatchObject([{ text: 'Zoë Ahorn: record to finish' }]);
    expect(day.week.map((d) => d.visits)).toEqual([0, 0, 1, 0, 0, 0, 0]);
    await db.updateTable('visit').set({ cancelled_at: now.toISOString() }).where('id', '!=', visit).execute();
    expect((await readDay(db, now, now)).looseEnds).toEqual([]);
  });

  it('ticks off what is done', async () => {
    await answerCheck(db, visit, { answers: allNo }, actor);
    const [shown] = (await readDay(db, now, now)).visits;
    expect(shown?.tasks.map(({ stage, done }) => [stage, done])).toEqual([
      ['ask', true],
      ['ask', true],
      ['measure', false],
      ['plan', false],
    ]);
  });

  it('says how the last one closed', async () => {
    await saveClosing(db, visit, closing({ pressure: null, comfort: 7, redness: null, note: '', basedOn: 0 }), actor);
    await finishVisit(db, visit, actor);
    expect((await readDay(db, now, now)).visits[0]?.line).toBe('closed · comfort 7 of 10');
  });
});
