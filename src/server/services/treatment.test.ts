import { beforeEach, describe, expect, it } from 'vitest';
import { TreatmentInput } from '../../contracts/treatment';
import { addFinding } from './findings';
import { actor, book, finding, openHouse, type TestHouse } from './fixtures';
import { makeTreatment } from './make-treatment';
import { offerTreatments } from './offer-treatments';
import { readVisit } from './read-visit';
import { readyForTable, recordEvents } from './record-table';

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
});
