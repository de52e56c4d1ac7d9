import type { School } from '../../core/drainage/case';
import type { TherapistId } from '../../core/ids';
import type { TherapistView } from '../../contracts/people-views';
import type { Updateable } from 'kysely';
import type { Db } from '../db/connection';
import type { TherapistTable } from '../db/schema/house';
import type { TherapistRow } from '../db/schema';
import { hoursColumn, qualificationsColumn, schoolColumn, settingsColumn, type WorkingHours } from './people.documents';

export interface House {
  readonly name: string;
  readonly scenario: string;
  readonly school: School;
  /** Whom clients ring; empty until the owner writes it down. */
  readonly phone?: string;
}

/** @returns undefined on a data folder in which no house has been set up */
export async function findHouse(db: Db): Promise<House | undefined> {
  const row = await db.selectFrom('house').selectAll().executeTakeFirst();
  if (!row) return undefined;
  const { phone = '' } = settingsColumn.read(row.settings_json);
  return { name: row.name, scenario: row.scenario, school: schoolColumn.read(row.school_json), phone };
}

export async function insertHouse(db: Db, house: House, now: string): Promise<void> {
  await db
    .insertInto('house')
    .values({
      id: 1,
      name: house.name,
      scenario: house.scenario,
      school_json: schoolColumn.write(house.school),
      created_at: now,
      settings_json: settingsColumn.write(house.phone ? { phone: house.phone } : {}),
    })
    .execute();
}

export type Role = 'owner' | 'therapist' | 'assistant';

/** Somebody of the house, with what signing in needs. */
export interface StaffMember extends TherapistView {
  readonly role: Role;
  readonly login: string | null;
  readonly hasPassword: boolean;
  readonly hasPin: boolean;
  readonly leftAt: string | null;
  readonly hours: WorkingHours;
  /** Their plans keep to the library’s pace. */
  readonly isLearning: boolean;
}

function toStaff(row: TherapistRow): StaffMember {
  return {
    id: row.id,
    name: row.name,
    initials: row.initials,
    title: row.title,
    room: row.room,
    qualifications: qualificationsColumn.read(row.qualifications_json),
    role: row.role as Role,
    login: row.login,
    hasPassword: row.password_hash !== null,
    hasPin: row.pin_hash !== null,
    leftAt: row.left_at,
    hours: hoursColumn.read(row.hours_json),
    isLearning: row.is_learning === 1,
  };
}

/** Everybody of the house, also those who left: old records name them. */
export async function listStaff(db: Db): Promise<readonly StaffMember[]> {
  const rows = await db.selectFrom('therapist').selectAll().orderBy('id').execute();
  return rows.map(toStaff);
}

export async function findStaff(db: Db, id: number): Promise<StaffMember | undefined> {
  const row = await db.selectFrom('therapist').selectAll().where('id', '=', id).executeTakeFirst();
  return row && toStaff(row);
}

/** Everybody who is or was here, for naming them: whoever keeps the desk now may have treated. Fit to be shown. */
export async function listTherapists(db: Db): Promise<readonly TherapistView[]> {
  return (await listStaff(db)).map(toTherapist);
}

/** Those who treat and are still there: whom a visit can be booked with. */
export async function listBookable(db: Db): Promise<readonly TherapistView[]> {
  return (await listStaff(db)).filter(({ role, leftAt }) => role !== 'assistant' && leftAt === null).map(toTherapist);
}

const toTherapist = ({ id, name, initials, title, room, qualifications }: StaffMember): TherapistView => ({
  id,
  name,
  initials,
  title,
  room,
  qualifications,
});

export async function insertTherapist(
  db: Db,
  input: Omit<TherapistView, 'id'> & {
    readonly role?: Role;
    readonly login?: string | null;
    readonly passwordHash?: string | null;
    readonly pinHash?: string | null;
    readonly hours?: WorkingHours;
  },
): Promise<number> {
  const row = await db
    .insertInto('therapist')
    .values({
      name: input.name,
      initials: input.initials,
      title: input.title,
      room: input.room,
      qualifications_json: qualificationsColumn.write(input.qualifications),
      role: input.role ?? 'therapist',
      login: input.login ?? null,
      password_hash: input.passwordHash ?? null,
      pin_hash: input.pinHash ?? null,
      left_at: null,
      hours_json: hoursColumn.write(input.hours ?? {}),
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/** What a try to sign in is held against. */
export const findLogin = (db: Db, login: string) =>
  db
    .selectFrom('therapist')
    .select(['id', 'password_hash', 'left_at', 'role'])
    .where('login', '=', login)
    .executeTakeFirst();

export async function findPinHash(db: Db, id: number): Promise<string | null> {
  const row = await db.selectFrom('therapist').select('pin_hash').where('id', '=', id).executeTakeFirstOrThrow();
  return row.pin_hash;
}

export async function findPasswordHash(db: Db, id: number): Promise<string | null> {
  const row = await db.selectFrom('therapist').select('password_hash').where('id', '=', id).executeTakeFirst();
  return row?.password_hash ?? null;
}

export async function updateTherapist(db: Db, id: number, change: Updateable<TherapistTable>): Promise<void> {
  await db.updateTable('therapist').set(change).where('id', '=', id).execute();
}

/** Whether somebody is learning, and whether their plans are made at their own pace where nothing else is said. */
export async function findPaceOf(
  db: Db,
  id: TherapistId,
): Promise<{ readonly isLearning: boolean; readonly plansAtOwnPace: boolean }> {
  const row = await db
    .selectFrom('therapist')
    .select(['is_learning', 'plans_at_own_pace'])
    .where('id', '=', id)
    .executeTakeFirst();
  return { isLearning: row?.is_learning === 1, plansAtOwnPace: row?.plans_at_own_pace === 1 };
}

export async function setPlansAtOwnPace(db: Db, id: TherapistId, isOwn: boolean): Promise<void> {
  await db
    .updateTable('therapist')
    .set({ plans_at_own_pace: isOwn ? 1 : 0 })
    .where('id', '=', id)
    .execute();
}
