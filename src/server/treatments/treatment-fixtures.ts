import type { Minutes } from '../../core/quantities';
import { screeningBook } from '../../catalogue/screening/screening';
import { ObservationInput } from '../../contracts/measures';
import { TreatmentHolds, TreatmentInput } from '../../contracts/treatment';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { TableEvent } from '../../core/table/table-event';
import { overheadSecondsOf } from '../../core/table/progress';
import { spanOf, type TableStep } from '../../core/table/table-step';
import { bookVisit } from '../booking/booking';
import { actor, admit, type TestHouse } from '../shared/test-house';
import { makeTreatment } from './make-treatment';
import { recordEvents } from '../table/record-table';
import { saveObservation } from '../measures/save-observation';

/** Whole treatments in the small house for tests: booked, planned, given. */

const choices = (protocols: readonly string[]) => protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol }));

export const holds = (protocols: readonly string[]) => TreatmentHolds.parse({ choices: choices(protocols) });

export const wish = (protocols: readonly string[], change: object = {}) =>
  TreatmentInput.parse({ choices: choices(protocols), minutes: 60, basedOn: 0, ...change });

/** Plans a visit, which has to go well. */
export async function planFor({ db }: TestHouse, visit: number, protocols: readonly string[], change: object = {}) {
  const result = await makeTreatment(db, visit, wish(protocols, change), actor);
  if (result.kind !== 'saved') throw new Error(JSON.stringify(result));
  const { treatment } = result.plan;
  if (!treatment) throw new Error('no treatment');
  return { ...result.plan, treatment };
}

export const errorsOf = ({ faults, stepFaults, conflicts }: TreatmentView) =>
  [...faults, ...stepFaults, ...conflicts].filter(({ severity }) => severity === 'error');

/** The owner holds every qualification, and the client has nothing in the way. */
export async function mayAll({ db }: TestHouse): Promise<void> {
  const everything = [...screeningBook.qualifications].map(({ id }) => id);
  await db
    .updateTable('therapist')
    .set({ qualifications_json: JSON.stringify(everything) })
    .execute();
  await db.updateTable('finding').set({ ended_at: actor.now.toISOString() }).execute();
}

/** Books an hour with the owner, so many days from now. */
export async function bookFor(
  { db, client }: TestHouse,
  daysFromNow: number,
  protocols: readonly string[] = [],
): Promise<number> {
  const booked = await bookVisit(
    db,
    {
      clientId: client,
      therapistId: 1,
      startsAt: new Date(actor.now.getTime() + daysFromNow * 86_400_000 + 7_200_000).toISOString(),
      minutes: 60,
      focus: ['leg.left'],
      purpose: 'swelling',
      ...(protocols.length > 0 ? { holds: holds(protocols) } : {}),
    },
    actor,
  );
  if (booked.kind !== 'saved') throw new Error(JSON.stringify(booked));
  return booked.id;
}

export async function seen(
  { db }: TestHouse,
  visit: number,
  one: { readonly kind: string; readonly place: string | null; readonly value: object },
): Promise<void> {
  const input = ObservationInput.parse({ phase: 'before', replaces: null, ...one });
  const saved = await saveObservation(db, visit, input, actor);
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
}

/**
 * Every step of a plan, one after the other, to the end of the visit.
 * @param times of what is planned each step takes; 0: the presses follow one another at once
 */
export async function follow({ db }: TestHouse, visit: number, steps: readonly TableStep[], times = 0): Promise<void> {
  await admit(db, visit);
  let seconds = 0;
  const at = () => new Date(actor.now.getTime() - 86_400_000 + 1000 * seconds).toISOString();
  const events = steps.flatMap((step, i): TableEvent[] => {
    const start = at();
    const overhead = overheadSecondsOf(step);
    seconds += times === 0 ? 0 : overhead + times * (spanOf(step) - overhead);
    return [
      { id: `follow-${visit}-${i}-start`, kind: 'start', stepId: step.id, at: start, planVersion: 1 },
      { id: `follow-${visit}-${i}-end`, kind: 'end', stepId: step.id, at: at(), planVersion: 1 },
    ];
  });
  const finish: TableEvent = { id: `follow-${visit}-finish`, kind: 'finish', stepId: null, at: at(), planVersion: 1 };
  const done = await recordEvents(db, visit, { deviceId: 'the-table', events: [...events, finish] }, actor);
  if (done.kind !== 'saved') throw new Error(JSON.stringify(done));
}

/** Plans and gives a treatment from beginning to end. */
export async function give(
  house: TestHouse,
  visit: number,
  protocols: readonly string[],
  minutes: Minutes,
  times = 0,
): Promise<void> {
  const { steps } = await planFor(house, visit, protocols, { minutes });
  await follow(house, visit, steps, times);
}
