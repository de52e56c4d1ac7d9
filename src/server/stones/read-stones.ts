import type { Celsius } from '../../core/quantities';
import type { VisitId } from '../../core/ids';
import { stoneModalities } from '../../core/library/protocol';
import { stoneBook } from '../../catalogue/stones/stones';
import type { BathView, StoneBenchView, StoneView, StoneVisitView, TableStones } from '../../contracts/stone-views';
import { firstTouchOf } from '../../core/stones/first-touch';
import type { StoneHabits } from '../../core/stones/habits';
import { cuesOf } from '../../core/stones/cues';
import { judgeBath } from '../../core/stones/thermometer';
import type { Db } from '../db/connection';
import { houseBath } from '../devices/stone-bath';
import { findHabits, lastCare, listStones } from './stones.repository';
import { listVisits } from '../visits/visits.repository';
import { clockTime, dayBounds, shortDay } from '../shared/house-clock';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import type { VisitRecord } from '../visits/visit-record';
import { type DayPart, readTray, rotateDay, rotationsOf, warmUpOf } from './rotate-stones';
import { storedWork } from '../visits/visit-holds';

/** All that the stone bench opens with. @param visitId the visit to plan for; none when left out or unknown */
export async function readStoneBench(db: Db, visitId: VisitId | null, now: Date): Promise<StoneBenchView> {
  const [habits, stones, water, visits, record] = await Promise.all([
    findHabits(db),
    listStones(db),
    lastCare(db, 'water-changed'),
    listVisits(db, ...dayBounds(now)),
    visitId === null ? undefined : readVisitFrame(db, visitId),
  ]);
  const visit = record ? await stoneVisit(db, record) : null;
  const day = visit ? null : await dayOfStones(db, visits.filter(takesStones));
  return {
    habits,
    stones: stones.map((stone): StoneView => ({
      ...stone,
      lastCleaned: stone.lastCleaned && shortDay(stone.lastCleaned),
      lastOiled: stone.lastOiled && shortDay(stone.lastOiled),
    })),
    lastWaterChange: water && shortDay(water),
    warmUpMinutes: warmUpOf({ habits, stones }),
    bath: readBath(habits, hotBathOf(visit ?? day)),
    visits: visits
      .filter(takesStones)
      .map((row) => ({ id: row.id, client: row.client_name, time: clockTime(row.starts_at) })),
    visit,
    day,
  };
}

type VisitOfDay = Awaited<ReturnType<typeof listVisits>>[number];

const takesStones = (row: VisitOfDay) => storedWork(row)?.modalities.some((one) => stoneModalities.has(one)) ?? false;

/** The stones of a whole day; null where nothing that takes them is planned yet. */
async function dayOfStones(db: Db, rows: readonly VisitOfDay[]): Promise<StoneBenchView['day']> {
  const [first] = rows;
  if (!first) return null;
  const offsetOf = (row: VisitOfDay) => (Date.parse(row.starts_at) - Date.parse(first.starts_at)) / 1000;
  const parts: DayPart[] = [];
  for (const row of rows) {
    const record = await readVisitFrame(db, row.id);
    const steps = record && (await completeVisit(db, record)).plan?.steps;
    if (record && steps)
      parts.push({ name: row.client_name, offsetS: offsetOf(row), steps, tray: await readTray(db, record) });
  }
  const last = rows.at(-1) ?? first;
  const rotations = rotateDay(parts);
  return rotations.length === 0
    ? null
    : { from: clockTime(first.starts_at), minutes: offsetOf(last) / 60 + last.minutes, rotations };
}

/** What the bath is set to for the hot stones of a visit, or of the day. */
const hotBathOf = (of: Pick<StoneVisitView, 'rotations'> | null) => of?.rotations.find(({ isCold }) => !isCold)?.bathC;

/**
 * What the thermometer says right now.
 * @param wantedC what a plan asks for; without one the bath is held to what it is set to, and an idle one to the habit
 */
export function readBath(habits: StoneHabits, wantedC?: Celsius): BathView {
  const bath = houseBath();
  const { isOn, setC, stones, fault } = bath.state();
  const readings = bath.readings();
  const nowMs = Date.now();
  return {
    reading: judgeBath(
      readings,
      nowMs,
      wantedC ?? (isOn ? setC : habits.hotBathC),
      habits.toleranceC,
      stoneBook.limits.capC + 1,
    ),
    device: { isOn, setC, stones, fault },
  };
}

/** The bath with what the house usually sets it to. */
export async function readHouseBath(
  db: Db,
  wantedC?: Celsius,
): Promise<{ readonly bath: BathView; readonly usualC: Celsius }> {
  const habits = await findHabits(db);
  return { bath: readBath(habits, wantedC), usualC: habits.hotBathC };
}

async function stoneVisit(db: Db, record: VisitRecord): Promise<StoneVisitView> {
  const [tray, visit] = await Promise.all([readTray(db, record), completeVisit(db, record)]);
  const { client, noHeat } = tray;
  return {
    id: record.id,
    client: record.client.name,
    time: record.time,
    work: record.work,
    minutes: record.minutes,
    limits: client,
    moving: firstTouchOf(stoneBook.limits, client, 'moving', 0),
    resting: firstTouchOf(stoneBook.limits, client, 'still', 1),
    noHeat,
    rotations: rotationsOf(visit.plan?.steps ?? [], tray),
  };
}

/** What the table needs of stones: when they are taken out and swapped, and the hot bath; nothing where a plan takes none. */
export async function readTableStones(db: Db, visitId: VisitId): Promise<TableStones> {
  const record = await readVisitFrame(db, visitId);
  const none = { cues: [], hotBathC: null };
  if (!record) return none;
  const { plan } = await completeVisit(db, record);
  const steps = plan?.steps ?? [];
  if (!steps.some(({ told }) => told?.stones)) return none;
  const rotations = rotationsOf(steps, await readTray(db, record));
  const cues = rotations.flatMap(({ rotation }) => cuesOf(rotation)).sort((a, b) => a.atS - b.atS);
  return { cues, hotBathC: hotBathOf({ rotations }) ?? null };
}
