import type { StaffInput } from '../../contracts/sign-in';
import { passwordTrouble, pinTrouble } from '../../core/sign-in/lockout';
import type { FieldError } from '../../core/result';
import { oftenTriedTrouble } from '../auth/often-tried';
import { hashSecret } from '../auth/secrets';
import type { Db } from '../db/connection';
import { insertTherapist, listStaff, updateTherapist } from './people.repository';
import { deleteOtherSessions, deleteSessionsOf } from './sessions.repository';
import { endFeed } from './settings.repository';
import { deletePractice } from '../practice/practice.repository';
import type { TherapistId } from '../../core/ids';
import { deleteDevicesOf } from './tries.repository';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import { hoursColumn, qualificationsColumn } from './people.documents';
import { peopleAnswers } from './people.answers';

/** Two letters for a pebble. */
export function initialsOf(name: string): string {
  const words = name.split(/\s+/).filter(Boolean);
  return [words[0], words.length > 1 ? words.at(-1) : undefined]
    .map((word) => word?.charAt(0).toUpperCase() ?? '')
    .join('');
}

/** Adds somebody, or changes them; a house keeps at least one owner who has not left. */
export async function saveStaff(
  db: Db,
  id: number | null,
  input: StaffInput,
  actor: Actor,
  /** The session at hand, which stays when one changes one’s own password. */
  session: string | null = null,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const staff = await listStaff(db);
  const before = staff.find((member) => member.id === id);
  if (id !== null && !before) return { kind: 'not-found' };
  const errors: FieldError[] = [];
  if (staff.some((member) => member.login === input.login && member.id !== id))
    errors.push({ path: 'login', message: peopleAnswers.somebodyElseSignsInWithThis });
  const trouble =
    input.password === ''
      ? undefined
      : (passwordTrouble(input.password, input.name) ?? oftenTriedTrouble(input.password, [input.name, input.login]));
  if (trouble) errors.push({ path: 'password', message: trouble });
  if (id === null && input.password === '')
    errors.push({ path: 'password', message: peopleAnswers.giveAFirstPassword });
  const pin = input.pin === '' ? undefined : pinTrouble(input.pin);
  if (pin) errors.push({ path: 'pin', message: pin });
  const isOwner = (member: { readonly role: string; readonly leftAt: string | null }) =>
    member.role === 'owner' && !member.leftAt;
  const others = staff.filter((member) => member.id !== id && isOwner(member));
  if (before && isOwner(before) && others.length === 0 && (input.role !== 'owner' || input.hasLeft))
    errors.push({ path: 'role', message: peopleAnswers.aHouseNeedsAnOwnerMake });
  if (errors.length > 0) return { kind: 'refused', errors };

  const now = actor.now.toISOString();
  const secrets = {
    ...(input.password === '' ? {} : { password_hash: await hashSecret(input.password) }),
    ...(input.pin === '' ? {} : { pin_hash: await hashSecret(input.pin) }),
  };
  return db.transaction().execute(async (trx) => {
    const shared = { name: input.name, title: input.title, room: input.room, role: input.role, login: input.login };
    const initials = initialsOf(input.name);
    const savedId = id ?? (await insertTherapist(trx, { ...shared, initials, qualifications: input.qualifications }));
    await updateTherapist(trx, savedId, {
      ...shared,
      ...secrets,
      initials,
      qualifications_json: qualificationsColumn.write(input.qualifications),
      hours_json: hoursColumn.write(input.hours),
      is_learning: input.isLearning ? 1 : 0,
      left_at: input.hasLeft ? (before?.leftAt ?? now) : null,
    });
    // Somebody who has left, or whose password was changed by the owner, is signed out everywhere.
    // One's own other devices are, too, when the password is changed.
    if (input.hasLeft || (input.password !== '' && savedId !== actor.therapistId))
      await deleteSessionsOf(trx, savedId, now);
    else if (input.password !== '') await deleteOtherSessions(trx, savedId, session);
    if (input.hasLeft || input.password !== '') await deleteDevicesOf(trx, savedId);
    if (input.hasLeft) {
      await endFeed(trx, savedId);
      // What somebody practised is their own: it goes with them.
      await deletePractice(trx, savedId as TherapistId);
    }
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: id === null ? 'person added' : 'person changed',
      subject: `staff ${savedId}`,
      detail: input.role,
    });
    return { kind: 'saved', id: savedId } as const;
  });
}
