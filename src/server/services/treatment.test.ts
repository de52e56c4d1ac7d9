import { beforeEach, describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import { ObservationInput } from '../../contracts/measures';
import { TreatmentHolds, TreatmentInput } from '../../contracts/treatment';
import { defaultSchool } from '../../core/drainage/case';
import type { LineKind } from '../../core/facial/line';
import type { TableEvent } from '../../core/table/progress';
import { howOf, type TableStep, titleOf } from '../../core/table/table-step';
import { setStage } from '../repositories/visits';
import { bookVisit } from './booking';
import { addFinding } from './findings';
import { actor, book, finding, openHouse, type TestHouse } from './fixtures';
import { makePlan, rearrangeCourse } from './make-plan';
import { makeTreatment } from './make-treatment';
import { dropTemplate, offerTreatments, saveTemplate } from './offer-treatments';
import { readClient } from './read-client';
import { readDay } from './read-day';
import { readRoom, saveReady } from './read-room';
import { readVisit } from './read-visit';
import { readyForTable, recordEvents } from './record-table';
import { saveObservation } from './save-observation';

let house: TestHouse;
let visit: number;
beforeEach(async () => {
  house = await openHouse();
  visit = house.visit;
});

const wish = (protocols: readonly string[], change: object = {}) =>
  TreatmentInput.parse({
    choices: protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol })),
    minutes: 60,
    basedOn: 0,
    ...change,
  });
const plan = async (protocols: readonly string[], change: object = {}) => {
  const result = await makeTreatment(house.db, visit, wish(protocols, change), actor);
  if (result.kind !== 'saved') throw new Error(JSON.stringify(result));
  const { treatment } = result.plan;
  if (!treatment) throw new Error('no treatment');
  return { ...result.plan, treatment };
};
const errorsOf = ({ faults, stepFaults, conflicts }: Awaited<ReturnType<typeof plan>>['treatment']) =>
  [...faults, ...stepFaults, ...conflicts].filter(({ severity }) => severity === 'error');

describe('a whole treatment', () => {
  it('holds drainage from the planner as a part among others, and fits the time', async () => {
    const { treatment, steps } = await plan(['leg-drainage', 'face-drainage'], { minutes: 75 });
    expect(treatment.blocks.some(({ name }) => name === 'drainage')).toBe(true);
    expect(steps.some((step) => step.kind === 'drain' && !step.told)).toBe(true);
    expect(steps.some((step) => step.told?.title === 'Skin stretch')).toBe(true);
    expect(treatment.totalSeconds).toBeLessThanOrEqual(75 * 60);
    expect(errorsOf(treatment)).toEqual([]);
    const ids = new Set(steps.map(({ id }) => id));
    expect(treatment.blocks.flatMap((block) => block.steps).every((id) => ids.has(id))).toBe(true);
    expect(ids.size).toBe(steps.length);
  });

  it.each([30, 60, 90])('puts dry brushing, drainage and cool stones into %d minutes', async (minutes) => {
    const { treatment } = await plan(['leg-drainage', 'dry-brush-body', 'stones-face-cool'], { minutes });
    expect(treatment.fits).toBe(true);
    expect(errorsOf(treatment)).toEqual([]);
    expect(treatment.blocks.some(({ name }) => name === 'drainage')).toBe(true);
  });

  it('never puts a hot stone on the leg whose nodes are gone, nor on its side of the trunk', async () => {
    const { treatment, steps } = await plan(['leg-drainage', 'stones-leg-back', 'stones-back'], { minutes: 90 });
    const hot = steps.filter(({ id }) => /^c[23]/.test(id)).flatMap((step) => step.told?.places ?? []);
    expect(hot.filter((place) => /^(thigh|calf|knee|heel|sole).*\.left$/.test(place))).toEqual([]);
    expect(treatment.leftOut.length + hot.length).toBeGreaterThan(0);
  });

  it('takes the therapist’s own order, keeps a reason, and says when the client has changed', async () => {
    const best = await plan(['dry-brush-body', 'oil-leg-foot-belly-arm'], { minutes: 150 });
    const order = best.treatment.blocks.map(({ id }) => id).reverse();
    const broken = await plan(['dry-brush-body', 'oil-leg-foot-belly-arm'], { minutes: 150, order, basedOn: 1 });
    expect(broken.isRearranged).toBe(true);
    expect(errorsOf(broken.treatment).length).toBeGreaterThan(0);
    expect(await readyForTable(house.db, visit)).toMatchObject([{ path: 'reason' }]);
    await plan(['dry-brush-body', 'oil-leg-foot-belly-arm'], { minutes: 150, order, reason: 'asked for', basedOn: 2 });
    expect(await readyForTable(house.db, visit)).toEqual([]);
    await addFinding(house.db, house.client, finding({ id: 'rosacea' }), actor);
    expect((await readVisit(house.db, visit))?.plan?.isStale).toBe(true);
    expect(await readyForTable(house.db, visit)).toMatchObject([{ path: 'plan' }]);
  });

  it('shortens work on a face with rosacea and says what comes instead', async () => {
    await addFinding(house.db, house.client, finding({ id: 'rosacea' }), actor);
    visit = await book(house, 1);
    const { treatment, steps } = await plan(['lifting-facial'], { minutes: 60 });
    expect(treatment.leftOut.some(({ why }) => why.includes('pinching'))).toBe(true);
    expect(steps.every(({ pressure }) => pressure === 'feather')).toBe(true);
    expect(treatment.totalSeconds).toBeLessThan(20 * 60);
  });

  it('is refused when nothing is known of it, when somebody else saved, and once it has begun', async () => {
    const unknown = await makeTreatment(house.db, visit, wish(['moonwalk']), actor);
    expect(unknown).toMatchObject({ kind: 'refused', errors: [{ path: 'choices.0.protocol' }] });
    expect(await makeTreatment(house.db, 999, wish(['belly']), actor)).toEqual({ kind: 'not-found' });
    await plan(['face-drainage']);
    expect(await makeTreatment(house.db, visit, wish(['belly']), actor)).toEqual({ kind: 'edited-elsewhere' });
    const [first] = (await readVisit(house.db, visit))?.plan?.steps ?? [];
    await recordEvents(
      house.db,
      visit,
      [
        {
          id: 'event-0001',
          kind: 'start',
          stepId: first?.id ?? null,
          at: actor.now.toISOString(),
          planVersion: 1,
        },
      ],
      actor,
    );
    expect(await makeTreatment(house.db, visit, wish(['belly'], { basedOn: 1 }), actor)).toMatchObject({
      kind: 'refused',
    });
  });

  it('offers every protocol of the house', async () => {
    expect((await offerTreatments(house.db, house.client, actor.now)).protocols).toHaveLength(32);
  });

  it('counts gloved work of the last seven days, and no more than twice', async () => {
    await mayAll();
    for (const daysAgo of [-5, -2]) {
      const earlier = await bookFor(daysAgo);
      await give(earlier, ['mouth-gloved'], 60);
      await setStage(house.db, earlier, 'done', actor.now.toISOString());
    }
    visit = await bookFor(0);
    const { treatment } = await plan(['mouth-gloved', 'lifting-facial'], { minutes: 90 });
    expect(treatment.choices.map(({ isGiven }) => isGiven)).toEqual([false, true]);
    expect(treatment.leftOut.some(({ why }) => why.startsWith('Given twice in the last seven days'))).toBe(true);
    visit = await bookFor(6);
    expect((await plan(['mouth-gloved'])).treatment.blocks.length).toBeGreaterThan(0);
  });

  it('leaves out what stimulates the skin where it is red today', async () => {
    await mayAll();
    const stimulating = (steps: readonly TableStep[]) =>
      steps.filter(({ told }) => told?.title === 'Circle with a pinch');
    visit = await bookFor(1);
    expect(stimulating((await plan(['lifting-facial'])).steps).length).toBeGreaterThan(0);
    visit = await bookFor(2);
    for (const side of ['left', 'right'])
      await seen({ kind: 'redness', place: `cheek.${side}`, value: { grade: 3, isSpreading: false } });
    const { treatment, steps } = await plan(['lifting-facial']);
    expect(stimulating(steps)).toEqual([]);
    expect(treatment.leftOut.find(({ what }) => what === 'Circle with a pinch')?.why).toContain('Redness 3 of 4');
  });

  it('takes both hands alike where nothing asks for one side first, which takes less time', async () => {
    await mayAll();
    visit = await bookFor(1);
    const one = await plan(['oil-leg-foot-belly-arm', 'face-drainage'], { minutes: 180 });
    const both = await plan(['oil-leg-foot-belly-arm', 'face-drainage'], { minutes: 180, bothSides: true, basedOn: 1 });
    expect(both.treatment.usualSeconds).toBeLessThan(one.treatment.usualSeconds);
  });
});

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
    await mayAll();
    visit = await bookFor(1);
    await seen({ kind: 'lines', place: null, value: { lines: drawn } });
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
  const holds = (protocols: readonly string[]) =>
    TreatmentHolds.parse({ choices: protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol })) });
  const offers = () => offerTreatments(house.db, house.client, actor.now);

  it('stand first: as last time, what is usual for the client, then those of the house', async () => {
    await mayAll();
    const earlier = await bookFor(-7);
    await give(earlier, ['belly', 'relaxing-face'], 30);
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
    await mayAll();
    await give(await bookFor(-7), ['belly', 'relaxing-face'], 30);
    visit = await bookFor(0);
    const same = await plan(['belly', 'relaxing-face'], { minutes: 30 });
    expect(same.treatment.sinceLast?.words).toEqual([]);
    const other = await plan(['belly'], { minutes: 20, basedOn: 1 });
    expect(other.treatment.sinceLast?.words.slice(0, 2)).toEqual(['20 minutes instead of 30.', 'Without face, neck.']);
  });
});

describe('a visit that is booked for a treatment', () => {
  it('is called by it, lists the room before anybody is asked, and counts in the ledger as what it was', async () => {
    await mayAll();
    const booked = await bookFor(0, ['stones-back', 'scalp-shoulders']);
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
    await give(booked, ['stones-back', 'scalp-shoulders'], 60);
    await setStage(house.db, booked, 'done', actor.now.toISOString());
    const ledger = (await readClient(house.db, house.client, new Date(actor.now.getTime() + 86_400_000)))?.ledger ?? [];
    expect(ledger.map(({ modality }) => modality)).toEqual(['hot-stone', 'scalp-ritual']);
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

describe('every protocol, by whoever may give it', () => {
  const swollen = ['leg-drainage', 'stones-neck'];
  const combinations = [
    ['face-drainage', 'face-roller'],
    ['lifting-facial', 'mouth-gloved'],
    ['neck-release', 'stones-neck'],
    ['dry-brush-body', 'aroma-whole-body'],
    swollen,
    ['scalp-shoulders', 'lifting-facial'],
  ];
  const all = [...shippedLibrary.protocols.keys()].map((id) => [id]);

  it.each([...all, ...combinations].map((one) => [one.join(' + '), one] as const))(
    '%s is planned into 30, 60 and 90 minutes and followed to its end',
    async (_, protocols) => {
      await mayAll();
      for (const [i, minutes] of [30, 60, 90].entries()) {
        visit = await bookFor(8 * (i + 1));
        const { treatment, steps } = await plan(protocols, { minutes });
        expect(treatment.blocks.length).toBeGreaterThan(0);
        expect([treatment.fits, treatment.totalSeconds <= minutes * 60]).toEqual([true, true]);
        expect(errorsOf(treatment)).toEqual([]);
        expect(await readyForTable(house.db, visit)).toEqual([]);
        expect(steps.every((step) => titleOf(anatomy, step) !== '' && howOf(anatomy, step) !== '')).toBe(true);
        await follow(visit, steps);
        expect((await readVisit(house.db, visit))?.stage).toBe('close');
      }
    },
  );
});

const everything = [...screeningBook.qualifications].map(({ id }) => id);

/** The owner holds every qualification, and the client has nothing in the way. */
async function mayAll(): Promise<void> {
  await house.db
    .updateTable('therapist')
    .set({ qualifications_json: JSON.stringify(everything) })
    .execute();
  await house.db.updateTable('finding').set({ ended_at: actor.now.toISOString() }).execute();
}

async function bookFor(days: number, protocols: readonly string[] = []): Promise<number> {
  const booked = await bookVisit(
    house.db,
    {
      clientId: house.client,
      therapistId: 1,
      startsAt: new Date(actor.now.getTime() + days * 86_400_000 + 7_200_000).toISOString(),
      minutes: 60,
      focus: ['leg.left'],
      purpose: 'swelling',
      ...(protocols.length > 0
        ? { holds: TreatmentHolds.parse({ choices: protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol })) }) }
        : {}),
    },
    actor,
  );
  if (booked.kind !== 'saved') throw new Error(JSON.stringify(booked));
  return booked.id;
}

async function seen(one: {
  readonly kind: string;
  readonly place: string | null;
  readonly value: object;
}): Promise<void> {
  const saved = await saveObservation(
    house.db,
    visit,
    ObservationInput.parse({ phase: 'before', replaces: null, ...one }),
    actor,
  );
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
}

/** Plans and gives a treatment from beginning to end. */
async function give(id: number, protocols: readonly string[], minutes: number): Promise<void> {
  visit = id;
  const { steps } = await plan(protocols, { minutes });
  await follow(id, steps);
}

async function follow(id: number, steps: readonly TableStep[]): Promise<void> {
  const at = actor.now.toISOString();
  const events = steps.flatMap((step, i): TableEvent[] => [
    { id: `follow-${id}-${i}-start`, kind: 'start', stepId: step.id, at, planVersion: 1 },
    { id: `follow-${id}-${i}-end`, kind: 'end', stepId: step.id, at, planVersion: 1 },
  ]);
  const done = await recordEvents(
    house.db,
    id,
    [...events, { id: `follow-${id}-finish`, kind: 'finish', stepId: null, at, planVersion: 1 }],
    actor,
  );
  if (done.kind !== 'saved') throw new Error(JSON.stringify(done));
}
