import { addDays } from 'date-fns';
import { homeLanguages, homeRoutine, homeWordsOf } from '../../catalogue/homecare/homecare';
import { homeRoutines } from '../../catalogue/homecare/routines.data';
import type { HomeWish } from '../../contracts/home';
import type { HomePage, HomeView, KeptSheet } from '../../contracts/home-views';
import { keptTo, mayDo } from '../../core/homecare/rhythm';
import type { HomeRoutineId, HomeSheet } from '../../core/homecare/sheet';
import type { Db } from '../db/connection';
import { hashToken, makeToken } from '../auth/secrets';
import { findClient } from '../repositories/clients';
import {
  endSheet,
  endSheets,
  findLink,
  findSheet,
  type HomeTick,
  insertLink,
  insertSheet,
  insertTicks,
  linksOf,
  listSheets,
  listTicks,
  revokeLinks,
  type StoredSheet,
} from '../repositories/home';
import { findHouse, listTherapists } from '../repositories/people';
import { insertAudit } from '../repositories/audit';
import { composeHome, mostPerWeekOf } from './compose-home';
import { isoDay, longDay, shortDay } from './house-clock';
import { readHouseLibrary } from './read-library';
import { completeVisit, readVisitFrame, type VisitRecord } from './read-visit';
import type { Actor, SaveRefusal } from './saving';

const takesSide = (id: HomeRoutineId) => homeRoutine(id).from === 'planner';
const weekDays = 7;

/** What the page about home shows. @returns undefined when there is no such visit */
export async function readHome(db: Db, visitId: number, now: Date): Promise<HomeView | undefined> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return undefined;
  const [visit, sheets] = await Promise.all([completeVisit(db, record), readSheets(db, record.client.id, now)]);
  const [words] = homeLanguages;
  const latest = sheets.find(({ isEnded }) => !isEnded);
  return {
    visit,
    offers: homeRoutines.map((routine) => ({
      routine: { ...routine, mostPerWeek: mostPerWeekOf(record, routine.id) },
      title: words?.routines[routine.id].title ?? routine.id,
      about: words?.routines[routine.id].about ?? '',
      takesSide: takesSide(routine.id),
    })),
    first: latest?.wish ?? firstWish(record),
    languages: homeLanguages.map(({ language, languageName }) => ({ id: language, name: languageName })),
    sheets,
    today: isoDay(now.toISOString()),
  };
}

/** What suits this client most likely: by what was found, then by what the visit is about. */
function firstWish(visit: VisitRecord): HomeWish {
  const armpits = visit.stored.filter(({ id }) => /^nodes-\w+-axillary$/.test(id));
  const legs = visit.focus.filter((id) => id.startsWith('leg'));
  const routine: HomeRoutineId =
    armpits.length > 0
      ? 'after-armpit'
      : visit.purpose === 'swelling' && legs.length > 0
        ? 'one-leg'
        : visit.purpose === 'puffy-face' || visit.purpose === 'sinus'
          ? 'face-three'
          : 'nodes-breathing';
  const named = routine === 'after-armpit' ? armpits.map(({ side }) => side) : legs.map((id) => id.split('.')[1]);
  const sides = new Set(named.flatMap((side) => (side === 'both' ? ['left', 'right'] : [side])));
  const side = sides.size > 1 ? 'both' : sides.has('right') ? 'right' : 'left';
  return { ...wishFor(routine), side: takesSide(routine) ? side : null };
}

function wishFor(id: HomeRoutineId): HomeWish {
  const routine = homeRoutine(id);
  return {
    routine: id,
    side: null,
    minutes: routine.minutes.usual,
    reach: { bends: true, usesLeft: true, usesRight: true },
    times: ['08:00'],
    daysPerWeek: routine.daysPerWeek,
    language: homeLanguages[0]?.language ?? 'en',
    note: '',
  };
}

/** Sheets that a client was given, the newest first, with how well they were kept to. */
export async function readSheets(db: Db, clientId: number, now: Date): Promise<readonly KeptSheet[]> {
  const sheets = await listSheets(db, clientId);
  if (sheets.length === 0) return [];
  const [ticks, links, therapists] = await Promise.all([
    listTicks(db, clientId),
    linksOf(
      db,
      sheets.map(({ id }) => id),
      now.toISOString(),
    ),
    listTherapists(db),
  ]);
  const today = isoDay(now.toISOString());
  return sheets.map((one): KeptSheet => {
    const days = ticks.filter(({ sheetId }) => sheetId === one.id).map(({ day }) => day);
    const until = one.endedAt === null ? today : isoDay(one.endedAt);
    const linkUntil = links.get(one.id);
    return {
      id: one.id,
      title: homeWordsOf(one.language).routines[one.sheet.routine].title,
      wish: one.wish,
      madeOn: isoDay(one.madeAt),
      by: therapists.find(({ id }) => id === one.madeBy)?.name ?? '',
      isEnded: one.endedAt !== null,
      log: keptTo(isoDay(one.madeAt), until, days, {
        daysPerWeek: one.wish.daysPerWeek,
        timesPerDay: one.wish.times.length,
      }),
      days,
      linkUntil: linkUntil === undefined ? null : shortDay(linkUntil),
      mostPerWeek: homeRoutine(one.sheet.routine).mostPerWeek,
    };
  });
}

export type ComposedSheet = { readonly kind: 'saved'; readonly id: number | null; readonly sheet: HomeSheet };

/** Draws a sheet up, and makes it the client’s if wished; the one of the same routine before it ends. */
export async function makeHomeSheet(
  db: Db,
  visitId: number,
  { wish, keep }: { readonly wish: HomeWish; readonly keep: boolean },
  actor: Actor,
): Promise<ComposedSheet | SaveRefusal> {
  const [visit, library] = await Promise.all([readVisitFrame(db, visitId), readHouseLibrary(db)]);
  if (!visit) return { kind: 'not-found' };
  const composed = composeHome(library, visit, wish);
  if (!composed.ok) return { kind: 'refused', errors: composed.errors };
  const sheet = composed.value;
  if (!keep) return { kind: 'saved', id: null, sheet };
  const now = actor.now.toISOString();
  const id = await db.transaction().execute(async (trx) => {
    await endSheets(trx, visit.client.id, wish.routine, now);
    const made = await insertSheet(trx, {
      ...{ clientId: visit.client.id, visitId, language: wish.language, wish, sheet },
      ...{ madeBy: actor.therapistId, madeAt: now },
    });
    await insertAudit(trx, {
      ...{ at: now, by: actor.therapistId, action: 'home sheet given', subject: `client ${visit.client.id}` },
    });
    return made;
  });
  return { kind: 'saved', id, sheet };
}

/** Ends a sheet, and with it every link to it. */
export async function endHomeSheet(
  db: Db,
  id: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  if (!(await findSheet(db, id))) return { kind: 'not-found' };
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    await endSheet(trx, id, now);
    await revokeLinks(trx, id, now);
  });
  return { kind: 'saved' };
}

/** A link that nobody can guess: 256 bits, of which only a hash is stored; an older one stops working. */
export async function makeHomeLink(
  db: Db,
  sheetId: number,
  days: number,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly path: string; readonly until: string } | SaveRefusal> {
  const sheet = await findSheet(db, sheetId);
  if (!sheet) return { kind: 'not-found' };
  if (sheet.endedAt !== null)
    return { kind: 'refused', errors: [{ path: 'sheet', message: 'This sheet has ended: give another one first.' }] };
  const { token, hash } = makeToken();
  const expiresAt = addDays(actor.now, days).toISOString();
  await db.transaction().execute(async (trx) => {
    await insertLink(trx, { tokenHash: hash, sheetId, madeAt: actor.now.toISOString(), expiresAt });
    await insertAudit(trx, {
      ...{ at: actor.now.toISOString(), by: actor.therapistId, action: 'home link made' },
      subject: `client ${sheet.clientId}`,
    });
  });
  return { kind: 'saved', path: `/home/${token}`, until: longDay(expiresAt) };
}

export async function takeBackLink(db: Db, sheetId: number, actor: Actor): Promise<{ readonly kind: 'saved' }> {
  await revokeLinks(db, sheetId, actor.now.toISOString());
  return { kind: 'saved' };
}

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
      errors: [{ path: `days.${bad}`, message: `${days[bad]} is not between the day of the sheet and today.` }],
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

const tickOf = (sheet: StoredSheet, id: string, day: string, origin: HomeTick['origin']): HomeTick => ({
  ...{ id, sheetId: sheet.id, day, origin },
  modality: homeRoutine(sheet.sheet.routine).modality,
});

async function sheetOfLink(db: Db, token: string, now: Date) {
  const link = await findLink(db, hashToken(token), now.toISOString());
  const sheet = link && (await findSheet(db, link.sheetId));
  return link && sheet && sheet.endedAt === null ? { link, sheet } : undefined;
}

/** What the page behind a link shows. @returns undefined for a link that never was, or has run out: both look alike */
export async function readHomePage(db: Db, token: string, now: Date): Promise<HomePage | undefined> {
  const found = await sheetOfLink(db, token, now);
  if (!found) return undefined;
  const { sheet, link } = found;
  const [client, house, therapists, ticks] = await Promise.all([
    findClient(db, sheet.clientId),
    findHouse(db),
    listTherapists(db),
    listTicks(db, sheet.clientId, isoDay(addDays(now, -2 * weekDays).toISOString())),
  ]);
  if (!client || client.archived_at !== null) return undefined;
  const today = isoDay(now.toISOString());
  const { modality, mostPerWeek } = homeRoutine(sheet.sheet.routine);
  const may = mayDo(ticks, modality, today, mostPerWeek);
  const { leftOut: _, ...shown } = sheet.sheet;
  return {
    firstName: client.name.split(' ')[0] ?? client.name,
    house: house?.name ?? '',
    therapist: therapists.find(({ id }) => id === sheet.madeBy)?.name ?? '',
    phone: house?.phone ?? '',
    language: sheet.language,
    wish: { times: sheet.wish.times, daysPerWeek: sheet.wish.daysPerWeek, note: sheet.wish.note },
    sheet: shown,
    linkUntil: longDay(link.expiresAt),
    thisWeek: ticks
      .filter(({ sheetId, day }) => sheetId === sheet.id && day > isoDay(addDays(now, -weekDays).toISOString()))
      .map(({ day }) => day),
    mostPerWeek,
    today,
    againFrom: may.may ? null : may.from,
  };
}

/** A tick from the page behind a link. A day to come, or long past, is refused; more than is good is, too. */
export async function tickHome(
  db: Db,
  token: string,
  given: { readonly id: string; readonly day: string },
  now: Date,
): Promise<{ readonly kind: 'saved'; readonly page: HomePage } | SaveRefusal> {
  const found = await sheetOfLink(db, token, now);
  if (!found) return { kind: 'not-found' };
  const { sheet } = found;
  const refuse = (message: string) => ({ kind: 'refused', errors: [{ path: 'day', message }] }) as const;
  // A phone may be a day ahead or behind, and may have been without a connection for a while.
  const earliest = isoDay(addDays(now, -weekDays).toISOString());
  if (given.day > isoDay(addDays(now, 1).toISOString()) || given.day < earliest)
    return refuse('Only days of the last week can be ticked.');
  const ticks = await listTicks(db, sheet.clientId, isoDay(addDays(now, -3 * weekDays).toISOString()));
  const { modality, mostPerWeek } = homeRoutine(sheet.sheet.routine);
  const isKnown = ticks.some(({ id }) => id === given.id);
  if (!isKnown && !mayDo(ticks, modality, given.day, mostPerWeek).may)
    return refuse(`${mostPerWeek} times in seven days is enough.`);
  await insertTicks(db, sheet.clientId, [tickOf(sheet, given.id, given.day, 'link')], now.toISOString());
  const page = await readHomePage(db, token, now);
  return page ? { kind: 'saved', page } : { kind: 'not-found' };
}

/** What the printed sheet takes. @returns undefined when there is no such sheet */
export async function readPrintedHome(db: Db, sheetId: number) {
  const sheet = await findSheet(db, sheetId);
  if (!sheet) return undefined;
  const [client, house, therapists] = await Promise.all([
    findClient(db, sheet.clientId),
    findHouse(db),
    listTherapists(db),
  ]);
  return {
    sheet: sheet.sheet,
    wish: sheet.wish,
    language: sheet.language,
    firstName: client?.name.split(' ')[0] ?? '',
    house: house?.name ?? '',
    phone: house?.phone ?? '',
    therapist: therapists.find(({ id }) => id === sheet.madeBy)?.name ?? '',
  };
}
