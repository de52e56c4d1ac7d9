import type { TherapistId } from '../../core/ids';
import type { CurrencyId } from '../../core/money';
import { type MeasuringSettings, usualMeasuring } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { type HouseSettings, settingsColumn } from './people.documents';
import type { DateOrder } from '../../core/calendar/read-date';

/** What the house has decided; nothing on a data folder in which no house has been set up. */
export async function findSettings(db: Db): Promise<HouseSettings> {
  const row = await db.selectFrom('house').select('settings_json').executeTakeFirst();
  if (!row) return {};
  if (row.settings_json !== lastRead?.text)
    lastRead = { text: row.settings_json, settings: settingsColumn.read(row.settings_json) };
  return lastRead.settings;
}

/** Every request asks several times, and hardly anything ever changes: what reads the same need not be checked again. */
let lastRead: { readonly text: string; readonly settings: HouseSettings } | undefined;

/** Changes some of the settings; the others stay. */
export async function changeSettings(db: Db, change: HouseSettings): Promise<void> {
  await db
    .updateTable('house')
    .set({ settings_json: settingsColumn.write({ ...(await findSettings(db)), ...change }) })
    .execute();
}

/** How the house measures, the usual way where it has not decided. */
export const findMeasuring = async (db: Db): Promise<MeasuringSettings> => ({
  ...usualMeasuring,
  ...(await findSettings(db)).measuring,
});

/** What the house counts in; euros where it has not said. */
export const findCurrency = async (db: Db): Promise<CurrencyId> => (await findSettings(db)).currency ?? 'EUR';

/** How the house writes dates; day first where it has not said. */
export const findDateOrder = async (db: Db): Promise<DateOrder> =>
  (await findSettings(db)).dateOrder ?? 'day-month-year';

/** The address of somebody’s calendar leads nowhere from now on. */
export async function endFeed(db: Db, staffId: TherapistId): Promise<void> {
  const feeds = Object.entries((await findSettings(db)).feeds ?? {});
  await changeSettings(db, { feeds: Object.fromEntries(feeds.filter(([, id]) => id !== staffId)) });
}
