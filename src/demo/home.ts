import type { ClientId } from '../core/ids';
import { addDays } from 'date-fns';
import type { HomeWish } from '../contracts/home';
import type { Db } from '../server/db/connection';
import { type HomeTick, insertSheet, insertTicks } from '../server/home/home.repository';
import { composeHome } from '../server/home/compose-home';
import { isoDay } from '../server/shared/house-clock';
import { readHouseLibrary } from '../server/library/read-library';
import { readVisitFrame } from '../server/visits/read-visit';

const weeksAgo = 5;
/** She does it most days, and less at the weekend. */
const keptShare = { weekday: 0.86, weekend: 0.4 } as const;

const wish: HomeWish = {
  ...{ routine: 'one-leg', side: 'left', minutes: 18, times: ['08:00'], daysPerWeek: 7, language: 'en' },
  reach: { bends: true, usesLeft: true, usesRight: true },
  note: 'The stocking comes on afterwards.',
};

/** The sheet that a client was given five weeks ago, and the days on which it was ticked since. */
export async function giveDemoSheet(db: Db, clientId: ClientId, by: number, now: Date, random: () => number) {
  const visit = await db
    .selectFrom('visit')
    .select('id')
    .where('client_id', '=', clientId)
    .where('starts_at', '<', addDays(now, -7 * weeksAgo).toISOString())
    .orderBy('starts_at', 'desc')
    .executeTakeFirst();
  const record = visit && (await readVisitFrame(db, visit.id));
  if (!record) return;
  const drawn = composeHome(await readHouseLibrary(db), record, wish);
  if (!drawn.ok) throw new Error(drawn.errors[0]?.message);
  const input = addDays(now, -7 * weeksAgo);
  const sheetId = await insertSheet(db, {
    ...{ clientId, visitId: record.id, language: 'en', wish, sheet: drawn.value, madeBy: by },
    madeAt: input.toISOString(),
  });
  const ticks = Array.from({ length: 7 * weeksAgo }, (_, i) => addDays(input, i)).flatMap((day): HomeTick[] => {
    const isWeekend = day.getDay() === 0 || day.getDay() === 6;
    if (random() > (isWeekend ? keptShare.weekend : keptShare.weekday)) return [];
    const iso = isoDay(day.toISOString());
    return [{ id: `demo-${sheetId}-${iso}`, sheetId, day: iso, modality: 'home-self-care', origin: 'link' }];
  });
  await insertTicks(db, clientId, ticks, now.toISOString());
}
