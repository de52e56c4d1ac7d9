import { beforeEach, describe, expect, it } from 'vitest';
import type { TherapistId } from '../../core/ids';
import { spanOf } from '../../core/table/table-step';
import { readHouseLibrary } from '../library/read-library';
import { qualificationsColumn } from '../people/people.documents';
import { findPaceOf, insertTherapist } from '../people/people.repository';
import { actor, openHouse, type TestHouse } from '../shared/test-house';
import { readVisit } from '../visits/read-visit';
import { setTherapist } from '../visits/visits.repository';
import { readPace } from './read-pace';
import { bookFor, give, mayAll, planFor, wish } from './treatment-fixtures';
import { makeTreatment } from './make-treatment';

const owner = 1 as TherapistId;
const protocol = 'lifting-facial';

describe('a plan at the therapist’s own pace', () => {
  let house: TestHouse;
  beforeEach(async () => {
    house = await openHouse();
    await mayAll(house);
  });

  /** Gives the same facial on four days, each step so many times of what was planned. */
  const giveOften = async (times: number) => {
    for (const day of [-40, -30, -20, -10]) await give(house, await bookFor(house, day), [protocol], 60, times);
  };
  let days = 0;
  const plan = async (change: object = {}) => planFor(house, await bookFor(house, (days += 1)), [protocol], change);
  /** Somebody who may do all that the owner may, and has given nothing yet. */
  const addColleague = async () => {
    const rows = house.db.selectFrom('therapist').selectAll().where('id', '=', owner);
    const { id: _, ...row } = await rows.executeTakeFirstOrThrow();
    return insertTherapist(house.db, {
      ...{ name: 'Alma Beck', initials: 'AB', title: row.title, room: row.room, role: 'therapist', login: 'alma' },
      qualifications: qualificationsColumn.read(row.qualifications_json),
    });
  };
  const secondsOf = ({ steps }: Awaited<ReturnType<typeof plan>>) => steps.reduce((sum, step) => sum + spanOf(step), 0);

  it('says nothing of a pace before anything was measured', async () => {
    expect((await plan()).treatment.pace).toBeUndefined();
  });

  it('offers it, and plans by the library until it is switched', async () => {
    await giveOften(1.3);
    const { treatment } = await plan();
    expect(treatment.pace?.isOwn).toBe(false);
    expect(treatment.pace?.techniques.length).toBeGreaterThan(0);
    for (const { ownSeconds, librarySeconds, times } of treatment.pace?.techniques ?? []) {
      expect(ownSeconds).toBeCloseTo(1.3 * librarySeconds, 1);
      expect(times).toBeGreaterThanOrEqual(10);
    }
  });

  it('plans by it once switched, from then on, and by the library’s again', async () => {
    await giveOften(1.3);
    const byLibrary = await plan({ minutes: 200 });
    const own = await plan({ minutes: 200, pace: 'own' });
    expect(own.treatment.pace?.isOwn).toBe(true);
    expect(secondsOf(own)).toBeGreaterThan(secondsOf(byLibrary));
    expect((await findPaceOf(house.db, owner)).plansAtOwnPace).toBe(true);
    expect((await plan({ minutes: 200 })).treatment.pace?.isOwn).toBe(true);
    const again = await plan({ minutes: 200, pace: 'library' });
    expect(secondsOf(again)).toBe(secondsOf(byLibrary));
    expect((await findPaceOf(house.db, owner)).plansAtOwnPace).toBe(false);
  });

  it('keeps within the time as any plan does, by fewer repetitions', async () => {
    await giveOften(1.6);
    const { treatment } = await plan({ minutes: 45, pace: 'own' });
    expect(treatment.fits).toBe(true);
    expect(treatment.totalSeconds).toBeLessThanOrEqual(45 * 60);
  });

  it('learns nothing from treatments whose steps were only pressed through', async () => {
    await giveOften(0);
    expect((await plan()).treatment.pace).toBeUndefined();
  });

  it('keeps to the library for whoever is learning, whatever is asked', async () => {
    await giveOften(1.3);
    await house.db.updateTable('therapist').set({ is_learning: 1, plans_at_own_pace: 1 }).execute();
    expect((await readPace(house.db, owner, await readHouseLibrary(house.db))).own.size).toBe(0);
    expect((await plan({ pace: 'own' })).treatment.pace).toBeUndefined();
  });

  it('is undone like any other change', async () => {
    await giveOften(1.3);
    const visit = await bookFor(house, 1);
    const first = await planFor(house, visit, [protocol]);
    const own = await planFor(house, visit, [protocol], { pace: 'own', basedOn: first.version });
    const before = { pace: first.treatment.wish.pace, basedOn: own.version };
    expect((await planFor(house, visit, [protocol], before)).treatment.pace?.isOwn).toBe(false);
    expect((await findPaceOf(house.db, owner)).plansAtOwnPace).toBe(false);
  });

  it('is not switched again by a plan of before that only keeps it', async () => {
    await giveOften(1.3);
    const visit = await bookFor(house, 1);
    const own = await planFor(house, visit, [protocol], { pace: 'own' });
    days = 1;
    await plan({ pace: 'library' });
    await planFor(house, visit, [protocol], { pace: 'own', minutes: 50, basedOn: own.version });
    expect((await findPaceOf(house.db, owner)).plansAtOwnPace).toBe(false);
  });

  it('has to be made anew for a colleague who takes the visit over, and is then by their hands', async () => {
    await giveOften(1.3);
    const visit = await bookFor(house, 1);
    const { version, treatment } = await planFor(house, visit, [protocol], { pace: 'own' });
    const colleague = await addColleague();
    await setTherapist(house.db, visit, colleague);
    expect((await readVisit(house.db, visit))?.plan?.isStale).toBe(true);
    const again = await planFor(house, visit, [protocol], { ...treatment.wish, basedOn: version });
    expect(again.treatment.pace).toBeUndefined();
    expect((await readVisit(house.db, visit))?.plan?.isStale).toBe(false);
  });

  it('does not change what a colleague plans by, whose visit the owner only plans', async () => {
    await giveOften(1.3);
    const visit = await bookFor(house, 1);
    const colleague = { ...actor, therapistId: 2 as TherapistId };
    const made = await makeTreatment(house.db, visit, wish([protocol], { pace: 'own' }), colleague);
    expect(made.kind).toBe('saved');
    expect((await findPaceOf(house.db, owner)).plansAtOwnPace).toBe(false);
  });
});
