import type { LanguageId } from '../../core/language';
import { readLanguage } from '../clients/read-language';
import type { ClientId, VisitId } from '../../core/ids';
import { homeLanguages, homeRoutine, homeWordsOf } from '../../catalogue/homecare/homecare';
import { homeRoutines } from '../../catalogue/homecare/routines.data';
import type { HomeWish } from '../../contracts/home';
import type { HomeView, KeptSheet } from '../../contracts/home-views';
import { limbOfArea } from '../../core/anatomy/areas';
import { nodeFindingOf } from '../../core/anatomy/node-findings';
import { keptTo } from '../../core/homecare/rhythm';
import type { HomeRoutineId, HomeSheet } from '../../core/homecare/sheet';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import {
  endSheet,
  endSheets,
  findSheet,
  insertSheet,
  linksOf,
  listSheets,
  listTicks,
  revokeLinks,
} from './home.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { insertAudit } from '../house/audit.repository';
import { composeHome, mostPerWeekOf } from './compose-home';
import { mostOf } from './how-often';
import { judgeVisit } from '../screening/judge-visit';
import { isoDay, shortDay } from '../shared/house-clock';
import { readHouseLibrary } from '../library/read-library';
import { headOf } from '../visits/at-work';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import type { VisitRecord } from '../visits/visit-record';
import type { Actor, SaveRefusal } from '../shared/saving';

const takesSide = (id: HomeRoutineId) => homeRoutine(id).from === 'planner';

/** What the page about home shows. @returns undefined when there is no such visit */
export async function readHome(db: Db, visitId: VisitId, now: Date): Promise<HomeView | undefined> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return undefined;
  const [visit, sheets] = await Promise.all([completeVisit(db, record), readSheets(db, record.client.id, now)]);
  const [words] = homeLanguages;
  const latest = sheets.find(({ isEnded }) => !isEnded);
  const judgement = judgeVisit(record);
  const suited = firstWish(record, await readLanguage(db, record.client.id));
  // What was given last goes on, unless this visit did something that a sheet of its own carries on at home.
  const isOther = carriedOn(record) !== undefined && latest?.wish.routine !== suited.routine;
  return {
    visit: headOf(visit),
    offers: homeRoutines.map((routine) => {
      const { mostPerWeek, whyNotMore } = mostPerWeekOf(judgement, routine);
      return {
        routine: { ...routine, mostPerWeek },
        whyNotMore,
        title: words?.routines[routine.id].title ?? routine.id,
        about: words?.routines[routine.id].about ?? '',
        takesSide: takesSide(routine.id),
      };
    }),
    first: latest && !isOther ? latest.wish : suited,
    languages: homeLanguages.map(({ language, languageName }) => ({ id: language, name: languageName })),
    sheets,
    today: isoDay(now.toISOString()),
  };
}

/** Kinds of work that a sheet carries on at home, the most particular first. */
const carriedOnBy: readonly (readonly [modality: string, routine: HomeRoutineId])[] = [
  ['facial-intraoral', 'mouth'],
  ['facial-scraping-tool', 'neck-jaw-tool'],
  ['facial-roller', 'roller'],
];

/** What was just done and has a sheet of its own. */
const carriedOn = ({ modalities, purpose }: VisitRecord): HomeRoutineId | undefined =>
  carriedOnBy.find(([modality]) => modalities.includes(modality))?.[1] ??
  (modalities.includes('facial-massage') && purpose !== 'swelling' ? 'face-three' : undefined);

/** What suits this client most likely: by what was just done, then by what was found, then by what the visit is about. */
function firstWish(visit: VisitRecord, language: LanguageId): HomeWish {
  const armpits = visit.stored.filter(({ id }) => nodeFindingOf(id)?.of === 'axillary');
  const legs = visit.focus.filter((id) => limbOfArea(id) === 'leg');
  const carried = carriedOn(visit);
  const routine: HomeRoutineId =
    carried !== undefined
      ? carried
      : armpits.length > 0
        ? 'after-armpit'
        : visit.purpose === 'swelling' && legs.length > 0
          ? 'one-leg'
          : visit.purpose === 'puffy-face' || visit.purpose === 'sinus'
            ? 'face-three'
            : 'nodes-breathing';
  const named = routine === 'after-armpit' ? armpits.map(({ side }) => side) : legs.map((id) => id.split('.')[1]);
  const sides = new Set(named.flatMap((side) => (side === 'both' ? ['left', 'right'] : [side])));
  const side = sides.size > 1 ? 'both' : sides.has('right') ? 'right' : 'left';
  return { ...wishFor(routine, language), side: takesSide(routine) ? side : null };
}

function wishFor(id: HomeRoutineId, language: LanguageId): HomeWish {
  const routine = homeRoutine(id);
  return {
    routine: id,
    side: null,
    minutes: routine.minutes.usual,
    reach: { bends: true, usesLeft: true, usesRight: true },
    times: ['08:00'],
    daysPerWeek: routine.daysPerWeek,
    language,
    note: '',
  };
}

/** Sheets that a client was given, the newest first, with how well they were kept to. */
export async function readSheets(db: Db, clientId: ClientId, now: Date): Promise<readonly KeptSheet[]> {
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
      mostPerWeek: mostOf(one.sheet),
    };
  });
}

export type ComposedSheet = { readonly kind: 'saved'; readonly id: number | null; readonly sheet: HomeSheet };

/** Draws a sheet up, and makes it the client’s if wished; the one of the same routine before it ends. */
export async function makeHomeSheet(
  db: Db,
  visitId: VisitId,
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
