import type { HouseInput } from '../../contracts/record';
import { defaultSchool } from '../../core/drainage/case';
import type { FieldError } from '../../core/result';
import { passwordTrouble, pinTrouble } from '../../core/sign-in/lockout';
import { oftenTriedTrouble } from '../auth/often-tried';
import { hashSecret } from '../auth/secrets';
import type { Db } from '../db/connection';
import { findHouse, insertHouse, insertTherapist, listStaff, updateTherapist } from './people.repository';
import { initialsOf } from './save-staff';
import type { Actor, SaveRefusal } from '../shared/saving';
import { keepFirstWording } from '../screening/wording';
import { qualificationsColumn } from './people.documents';

/** Whether there is a house, and somebody who can sign in to it; a house of an older version has nobody yet. */
export async function isHouseOpen(db: Db): Promise<boolean> {
  return (await findHouse(db)) !== undefined && (await listStaff(db)).some(({ hasPassword }) => hasPassword);
}

/**
 * First run on an empty data folder: the house and its owner, who signs in from then on. On a house of an older
 * version, which knew no sign-in, the owner on record gets name and secrets; everything else stays.
 */
export async function setUpHouse(
  db: Db,
  input: HouseInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly ownerId: number } | SaveRefusal> {
  if (await isHouseOpen(db)) return { kind: 'edited-elsewhere' };
  const errors: FieldError[] = [];
  const trouble =
    passwordTrouble(input.password, input.therapistName) ??
    oftenTriedTrouble(input.password, [input.therapistName, input.name, input.login]);
  if (trouble) errors.push({ path: 'password', message: trouble });
  const pin = pinTrouble(input.pin);
  if (pin) errors.push({ path: 'pin', message: pin });
  if (errors.length > 0) return { kind: 'refused', errors };
  const [passwordHash, pinHash] = await Promise.all([hashSecret(input.password), hashSecret(input.pin)]);
  const secrets = { login: input.login, password_hash: passwordHash, pin_hash: pinHash };
  const known = (await listStaff(db)).find(({ role, leftAt }) => role === 'owner' && leftAt === null);
  if (known && (await findHouse(db))) {
    const qualifications = qualificationsColumn.write([...new Set([...known.qualifications, ...input.qualifications])]);
    await updateTherapist(db, known.id, {
      ...secrets,
      name: input.therapistName,
      initials: initialsOf(input.therapistName),
      qualifications_json: qualifications,
    });
    return { kind: 'saved', ownerId: known.id };
  }
  return db.transaction().execute(async (trx) => {
    // Two that set the house up at once: the first one has it.
    if (await findHouse(trx)) return { kind: 'edited-elsewhere' } as const;
    await insertHouse(trx, { name: input.name, scenario: '', school: defaultSchool }, actor.now.toISOString());
    await keepFirstWording(trx, actor.now.toISOString());
    const ownerId = await insertTherapist(trx, {
      name: input.therapistName,
      initials: initialsOf(input.therapistName),
      title: 'Owner',
      room: 'Room 1',
      qualifications: input.qualifications,
      role: 'owner',
      login: input.login,
      passwordHash,
      pinHash,
    });
    return { kind: 'saved', ownerId } as const;
  });
}
