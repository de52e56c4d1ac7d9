import { beforeEach, describe, expect, it } from 'vitest';
import { TreatmentHolds } from '../../contracts/treatment';
import { defaultSchool } from '../../core/drainage/case';
import type { LineKind } from '../../core/facial/line';
import { setStage } from '../visits/visits.repository';
import { bookVisit } from '../booking/booking';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { makePlan, rearrangeCourse } from '../drainage/make-plan';
import { dropTemplate, offerTreatments, saveTemplate } from './offer-treatments';
import { readClient } from '../clients/read-client';
import { readDay } from '../visits/read-day';
import { readRoom, saveReady } from './read-room';
import { readVisit } from '../visits/read-visit';
import { bookFor, errorsOf, give, holds, mayAll, planFor, seen } from './treatment-fixtures';

let house: TestHouse;
let visit: number;
beforeEach(async () => {
  house = await openHouse();
  visit = house.visit;
});

const plan = (protocols: readonly string[], change: object = {}) => planFor(house, visit, protocols, change);

describe('the client’s own lines', () => {
  const line = (id: string, kind: LineKind, side: 'left' | 'right', points: [number, number][]) => ({
    ...{ id, kind, side, points },
    ...{ drawing: 'face-front' as const, profile: 'left' as const },
  });
  const drawn = [
    line('l1', 'crow', 'left', [
      [404, 240],
      [434, 228],
    ]),
    line('l2', 'mouth-corner', 'left', [
      [358, 398],
      [364, 434],
    ]),
  ];
  beforeEach(async () => {
    await mayAll(house);
    visit = await bookFor(house, 1);
    await seen(house, visit, { kind: 'lines', place: null, value: { lines: drawn } });
  });

  it('are worked by what a facial does on them; those left over are named', async () => {
    const { treatment, steps } = await plan(['lifting-facial'], { minutes: 75 });
    const crow = steps.filter(({ told }) => told?.lines?.includes('l1'));
    expect(crow.map(({ told }) => told?.title)).toEqual(['Across the crow lines']);
    expect(treatment.openLines).toEqual(['l2']);
  });

  it('are a choice of their own: low ones first, across and then along', async () => {
    const { treatment, steps } = await plan(['client-lines'], { minutes: 30 });
    expect(treatment.blocks.map(({ name }) => name)).toEqual(['lines round the mouth', 'lines beside the eyes']);
    expect(steps.map(({ told }) => told?.lines)).toEqual([['l2'], ['l2'], ['l1'], ['l1']]);
    expect(treatment.openLines).toEqual([]);
    expect(errorsOf(treatment)).toEqual([]);
  });
});

describe('treatments kept to be taken again', () => {
  const offers = () => offerTreatments(house.db, house.client, actor.now);

  it('stand first: as last time, what is usual for the client, then those of the house', async () => {
    await mayAll(house);
    const earlier = await bookFor(house, -7);
    await give(house, earlier, ['belly', 'relaxing-face'], 30);
    await saveTemplate(house.db, { name: 'Slow Friday', clientId: null, minutes: 60, holds: holds(['belly']) }, actor);
    await saveTemplate(
      house.db,
      { name: 'Her hour', clientId: house.client, minutes: 60, holds: holds(['face-drainage']) },
      actor,
    );
    const { ready } = await offers();
    expect(ready.map(({ kind, name }) => [kind, name.split(':')[1]?.trim() ?? name])).toEqual([
      ['last', 'Belly, digestion + Relaxing face and traction'],
      ['usual', 'Her hour'],
      ['house', 'Slow Friday'],
    ]);
    expect(ready[0]?.holds.choices.map(({ protocol }) => protocol)).toEqual(['belly', 'relaxing-face']);
  });

  it('keeps one usual treatment a client, and forgets one that is taken away', async () => {
    const save = (name: string) =>
      saveTemplate(house.db, { name, clientId: house.client, minutes: 45, holds: holds(['belly']) }, actor);
    await save('first');
    const second = await save('second');
    expect((await offers()).ready.map(({ name }) => name)).toEqual(['second']);
    if (second.kind !== 'saved') throw new Error('not kept');
    expect(await dropTemplate(house.db, second.id, actor)).toEqual({ kind: 'saved' });
    expect(await dropTemplate(house.db, second.id, actor)).toEqual({ kind: 'not-found' });
    expect((await offers()).ready).toEqual([]);
  });

  it('names what the house does not have', async () => {
    const broken = { name: 'x', clientId: null, minutes: 45, holds: holds(['moonwalk']) };
    expect(await saveTemplate(house.db, broken, actor)).toMatchObject({
      errors: [{ path: 'holds.choices.0.protocol' }],
    });
    const part = TreatmentHolds.parse({ choices: [{ id: 'c1', protocol: 'belly', blocks: ['ear'] }] });
    expect(await saveTemplate(house.db, { ...broken, holds: part }, actor)).toMatchObject({
      errors: [{ path: 'holds.choices.0.blocks.0' }],
    });
  });

  it('says how a treatment differs from the last one that was given', async () => {
    await mayAll(house);
    await give(house, await bookFor(house, -7), ['belly', 'relaxing-face'], 30);
    visit = await bookFor(house, 0);
    const same = await plan(['belly', 'relaxing-face'], { minutes: 30 });
    expect(same.treatment.sinceLast?.words).toEqual([]);
    const other = await plan(['belly'], { minutes: 20, basedOn: 1 });
    expect(other.treatment.sinceLast?.words.slice(0, 2)).toEqual(['20 minutes instead of 30.', 'Without face, neck.']);
  });
});

describe('a visit that is booked for a treatment', () => {
  it('is called by it, lists the room before anybody is asked, and counts in the ledger as what it was', async () => {
    await mayAll(house);
    const booked = await bookFor(house, 0, ['stones-back', 'scalp-shoulders']);
    const before = await readDay(house.db, actor.now, actor.now);
    const entry = before.visits.find(({ id }) => id === booked);
    expect(entry?.work).toBe('Hot stones, back + Scalp and shoulders with chosen scent');
    const heat = entry?.tasks.find(({ text }) => text.startsWith('Fill the stone bath'));
    expect(heat).toMatchObject({ isPressing: true, done: false });
    const room = await readRoom(house.db, booked);
    expect(room?.items[0]?.what).toBe(heat?.text);
    await saveReady(house.db, booked, { ready: [heat?.text ?? ''] });
    expect((await readRoom(house.db, booked))?.items.map(({ isReady }) => isReady)).toContain(true);
    expect((await readDay(house.db, actor.now, actor.now)).visits.find(({ id }) => id === booked)?.tasks[0]?.done).toBe(
      true,
    );
    await give(house, booked, ['stones-back', 'scalp-shoulders'], 60);
    await setStage(house.db, booked, 'done', actor.now.toISOString());
    const ledger = (await readClient(house.db, house.client, new Date(actor.now.getTime() + 86_400_000)))?.ledger ?? [];
    expect(ledger.map(({ modality }) => modality)).toEqual(['scalp-ritual', 'hot-stone']);
  });

  it('is not booked for what the house does not have', async () => {
    const holds = TreatmentHolds.parse({ choices: [{ id: 'c1', protocol: 'moonwalk' }] });
    const visitInput = { clientId: house.client, therapistId: 1, startsAt: actor.now.toISOString(), minutes: 45 };
    expect(
      await bookVisit(house.db, { ...visitInput, focus: ['whole-body'], purpose: 'wellness', holds }, actor),
    ).toMatchObject({ errors: [{ path: 'holds.choices.0.protocol' }] });
  });

  it('goes back to a drainage by itself, and a treatment’s steps are not moved one by one', async () => {
    await plan(['belly']);
    const { steps } = (await readVisit(house.db, visit))?.plan ?? { steps: [] };
    expect(
      await rearrangeCourse(house.db, visit, { order: steps.map(({ id }) => id), basedOn: 1, reason: '' }, actor),
    ).toMatchObject({ kind: 'refused', errors: [{ path: 'order' }] });
    const again = await makePlan(
      house.db,
      visit,
      { school: defaultSchool, minutes: 45, fill: false, basedOn: 1 },
      actor,
    );
    expect(again).toMatchObject({ kind: 'saved', plan: { treatment: null } });
    expect((await readVisit(house.db, visit))?.work).toBe('drainage, left leg · swelling');
  });
});
