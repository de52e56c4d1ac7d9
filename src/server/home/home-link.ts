import { listGiven, mostOf } from './how-often';
import { addDays } from 'date-fns';
import { homeRoutine, homeWordsOf } from '../../catalogue/homecare/homecare';
import type { HomePage } from '../../contracts/home-views';
import { mayDo } from '../../core/homecare/rhythm';
import { hashToken, makeToken } from '../auth/secrets';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { findClient } from '../clients/clients.repository';
import { findLink, findSheet, insertLink, insertTicks, listTicks, revokeLinks } from './home.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { tickOf } from './home-log';
import { isoDay, longDay, longDayIn } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { homeAnswers } from './home.answers';

const weekDays = 7;

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
    return {
      kind: 'refused',
      errors: [{ path: 'sheet', message: homeAnswers.thisSheetHasEndedGiveThe }],
    };
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
  const [client, house, therapists, ticks, given] = await Promise.all([
    findClient(db, sheet.clientId),
    findHouse(db),
    listTherapists(db),
    listTicks(db, sheet.clientId, isoDay(addDays(now, -2 * weekDays).toISOString())),
    listGiven(db, sheet.clientId, now, 2 * weekDays),
  ]);
  if (!client || client.archived_at !== null) return undefined;
  const today = isoDay(now.toISOString());
  const { modality } = homeRoutine(sheet.sheet.routine);
  const mostPerWeek = mostOf(sheet.sheet);
  const may = mayDo([...ticks, ...given], modality, today, mostPerWeek);
  const { leftOut: _, mostPerWeek: __, ...shown } = sheet.sheet;
  return {
    firstName: client.name.split(' ')[0] ?? client.name,
    house: house?.name ?? '',
    therapist: therapists.find(({ id }) => id === sheet.madeBy)?.name ?? '',
    phone: house?.phone ?? '',
    language: sheet.language,
    wish: { times: sheet.wish.times, daysPerWeek: sheet.wish.daysPerWeek, note: sheet.wish.note },
    sheet: shown,
    linkUntil: longDayIn(homeWordsOf(sheet.language).language, link.expiresAt),
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
  input: { readonly id: string; readonly day: string },
  now: Date,
): Promise<{ readonly kind: 'saved'; readonly page: HomePage } | SaveRefusal> {
  const found = await sheetOfLink(db, token, now);
  if (!found) return { kind: 'not-found' };
  const { sheet } = found;
  const refuse = (message: string) => ({ kind: 'refused', errors: [{ path: 'day', message }] }) as const;
  // A phone may be a day ahead or behind, and may have been without a connection for a while.
  const earliest = isoDay(addDays(now, -weekDays).toISOString());
  if (input.day > isoDay(addDays(now, 1).toISOString()) || input.day < earliest)
    return refuse(homeAnswers.onlyDaysOfTheLastWeek);
  const ticks = await listTicks(db, sheet.clientId, isoDay(addDays(now, -3 * weekDays).toISOString()));
  const { modality } = homeRoutine(sheet.sheet.routine);
  const mostPerWeek = mostOf(sheet.sheet);
  const given = await listGiven(db, sheet.clientId, now, 3 * weekDays);
  const isKnown = ticks.some(({ id }) => id === input.id);
  if (!isKnown && !mayDo([...ticks, ...given], modality, input.day, mostPerWeek).may)
    return refuse(homeAnswers.timesInSevenDaysIsEnough(mostPerWeek));
  await insertTicks(db, sheet.clientId, [tickOf(sheet, input.id, input.day, 'link')], now.toISOString());
  const page = await readHomePage(db, token, now);
  return page ? { kind: 'saved', page } : { kind: 'not-found' };
}
