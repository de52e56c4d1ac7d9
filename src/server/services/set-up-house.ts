import type { HouseInput } from '../../contracts/record';
import { defaultSchool } from '../../core/drainage/case';
import type { Db } from '../db/connection';
import { findHouse, insertHouse, insertTherapist } from '../repositories/people';
import type { Actor, SaveRefusal } from './saving';

/** First run on an empty data folder: the house and its first therapist. */
export async function setUpHouse(
  db: Db,
  input: HouseInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (await findHouse(db)) return { kind: 'edited-elsewhere' };
  await db.transaction().execute(async (trx) => {
    await insertHouse(trx, { name: input.name, scenario: '', school: defaultSchool }, actor.now.toISOString());
    const initials = input.therapistName
      .split(/\s+/)
      .map((word) => word.charAt(0).toUpperCase())
      .slice(0, 2)
      .join('');
    await insertTherapist(trx, {
      name: input.therapistName,
      initials,
      title: 'Owner',
      room: 'Room 1',
      qualifications: input.qualifications,
    });
  });
  return { kind: 'saved' };
}
