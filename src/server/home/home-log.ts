import { homeRoutine } from '../../catalogue/homecare/homecare';
import type { Db } from '../db/connection';
import { findSheet, type HomeTick, insertTicks, listTicks, type StoredSheet } from './home.repository';
import { isoDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { homeAnswers } from './home.answers';

/** A time that a sheet was done, as it counts for what its modality allows. */
export const tickOf = (sheet: StoredSheet, id: string, day: string, origin: HomeTick['origin']): HomeTick => ({
  ...{ id, sheetId: sheet.id, day, origin },
  modality: homeRoutine(sheet.sheet.routine).modality,
});

/** Days of the paper log that a client brought along. Days to come, and days before the sheet, are refused. */
export async function logHome(
  db: Db,
  sheetId: number,
  days: readonly string[],
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const sheet = await findSheet(db, sheetId);
  if (!sheet) return { kind: 'not-found' };
  const bad = days.findIndex((day) => day > isoDay(actor.now.toISOString()) || day < isoDay(sheet.madeAt));
  if (bad >= 0)
    return {
      kind: 'refused',
      errors: [{ path: `days.${bad}`, message: homeAnswers.isNotADayOfTheSheet(String(days[bad])) }],
    };
  const known = (await listTicks(db, sheet.clientId)).filter((tick) => tick.sheetId === sheetId);
  const wanted = new Map<string, number>();
  for (const day of days) wanted.set(day, (wanted.get(day) ?? 0) + 1);
  // A day that was ticked on the phone, too, is the same time, not another one.
  const fresh = [...wanted].flatMap(([day, times]) =>
    Array.from({ length: times }, (_, i) => i)
      .slice(known.filter((tick) => tick.day === day).length)
      .map((i): HomeTick => tickOf(sheet, `paper-${sheetId}-${day}-${i}`, day, 'paper')),
  );
  await insertTicks(db, sheet.clientId, fresh, actor.now.toISOString());
  return { kind: 'saved' };
}
