import { beforeEach, describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { howOf, type TableStep, titleOf } from '../../core/table/table-step';
import { setStage } from '../visits/visits.repository';
import { addFinding } from '../screening/save-finding';
import { actor, book, finding, openHouse, type TestHouse, admit } from '../shared/test-house';
import { makeTreatment } from './make-treatment';
import { offerTreatments } from './offer-treatments';
import { readVisit } from '../visits/read-visit';
import { readyForTable, recordEvents } from '../table/record-table';
import { bookFor, errorsOf, follow, give, mayAll, planFor, seen, wish } from './treatment-fixtures';

let house: TestHouse;
let visit: number;
beforeEach(async () => {
  house = await openHouse();
  visit = house.visit;
});

const plan = (protocols: readonly string[], change: object = {}) => planFor(house, visit, protocols, change);

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
    await admit(house.db, visit);
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
    await admit(house.db, visit);
    await plan(['face-drainage']);
    expect(await makeTreatment(house.db, visit, wish(['belly']), actor)).toEqual({ kind: 'edited-elsewhere' });
    const [first] = (await readVisit(house.db, visit))?.plan?.steps ?? [];
    await recordEvents(
      house.db,
      visit,
      {
        deviceId: 'the-table',
        events: [
          {
            id: 'event-0001',
            kind: 'start',
            stepId: first?.id ?? null,
            at: actor.now.toISOString(),
            planVersion: 1,
          },
        ],
      },
      actor,
    );
    expect(await makeTreatment(house.db, visit, wish(['belly'], { basedOn: 1 }), actor)).toMatchObject({
      kind: 'refused',
    });
  });

  it('offers every protocol of the house', async () => {
    expect((await offerTreatments(house.db, house.client, actor.now)).protocols).toHaveLength(34);
  });

  it('counts gloved work of the last seven days, and no more than twice', async () => {
    await mayAll(house);
    for (const daysAgo of [-5, -2]) {
      const earlier = await bookFor(house, daysAgo);
      await give(house, earlier, ['mouth-gloved'], 60);
      await setStage(house.db, earlier, 'done', actor.now.toISOString());
    }
    visit = await bookFor(house, 0);
    const { treatment } = await plan(['mouth-gloved', 'lifting-facial'], { minutes: 90 });
    expect(treatment.choices.map(({ isGiven }) => isGiven)).toEqual([false, true]);
    expect(treatment.leftOut.some(({ why }) => why.startsWith('Given twice in the last seven days'))).toBe(true);
    visit = await bookFor(house, 6);
    expect((await plan(['mouth-gloved'])).treatment.blocks.length).toBeGreaterThan(0);
  });

  it('leaves two days between gloved work, the same day included', async () => {
    await mayAll(house);
    const earlier = await bookFor(house, -1);
    await give(house, earlier, ['mouth-gloved'], 60);
    visit = await bookFor(house, 0);
    const next = await plan(['mouth-gloved', 'lifting-facial'], { minutes: 90 });
    expect(next.treatment.choices.map(({ isGiven }) => isGiven)).toEqual([false, true]);
    expect(next.treatment.leftOut.map(({ rule }) => rule)).toContain('intraoral-twice-a-week');
    // Booked for the morning, not yet given: it counts for the afternoon.
    const morning = await bookFor(house, 20, ['mouth-gloved']);
    await planFor(house, morning, ['mouth-gloved']);
    const afternoon = await bookFor(house, 20 + 4 / 24);
    const later = await planFor(house, afternoon, ['mouth-gloved']);
    expect(later.treatment.blocks).toEqual([]);
  });

  it('says at the table what is asked again, whatever was answered before', async () => {
    await mayAll(house);
    const { steps } = await plan(['chest-recoil'], { minutes: 30 });
    expect(steps[0]?.asksAgain?.length).toBeGreaterThan(0);
  });

  it('leaves out what stimulates the skin where it is red today', async () => {
    await mayAll(house);
    const stimulating = (steps: readonly TableStep[]) =>
      steps.filter(
        ({ told }) =>
          told?.title === 'Circle with a pinch' && told.places.some((place) => /^cheek\.(left|right)$/.test(place)),
      );
    visit = await bookFor(house, 1);
    expect(stimulating((await plan(['lifting-facial'])).steps).length).toBeGreaterThan(0);
    visit = await bookFor(house, 2);
    for (const side of ['left', 'right'])
      await seen(house, visit, { kind: 'redness', place: `cheek.${side}`, value: { grade: 3, isSpreading: false } });
    const { treatment, steps } = await plan(['lifting-facial']);
    expect(stimulating(steps)).toEqual([]);
    expect(
      treatment.leftOut.find(({ what }) => what.startsWith('Circle with a pinch') && what.includes('cheek'))?.why,
    ).toContain('Redness 3 of 4');
    // Seen after planning, it sends the plan back before the table.
    await admit(house.db, visit);
    await seen(house, visit, { kind: 'bruising', place: 'jaw.left', value: { grade: 1, sizeMm: null } });
    expect((await readVisit(house.db, visit))?.plan?.isStale).toBe(true);
    expect(await readyForTable(house.db, visit)).toMatchObject([{ path: 'plan' }]);
  });

  it('takes both hands alike where nothing asks for one side first, which takes less time', async () => {
    await mayAll(house);
    visit = await bookFor(house, 1);
    const one = await plan(['oil-leg-foot-belly-arm', 'face-drainage'], { minutes: 180 });
    const both = await plan(['oil-leg-foot-belly-arm', 'face-drainage'], { minutes: 180, bothSides: true, basedOn: 1 });
    expect(both.treatment.usualSeconds).toBeLessThan(one.treatment.usualSeconds);
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
      await mayAll(house);
      for (const [i, minutes] of [30, 60, 90].entries()) {
        visit = await bookFor(house, 8 * (i + 1));
        await admit(house.db, visit);
        const { treatment, steps } = await plan(protocols, { minutes });
        expect(treatment.blocks.length).toBeGreaterThan(0);
        expect([treatment.fits, treatment.totalSeconds <= minutes * 60]).toEqual([true, true]);
        expect(errorsOf(treatment)).toEqual([]);
        expect(await readyForTable(house.db, visit)).toEqual([]);
        expect(steps.every((step) => titleOf(anatomy, step) !== '' && howOf(anatomy, step) !== '')).toBe(true);
        await follow(house, visit, steps);
        expect((await readVisit(house.db, visit))?.stage).toBe('close');
      }
    },
  );
});
