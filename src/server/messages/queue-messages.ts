import { randomBytes } from 'node:crypto';
import { subHours } from 'date-fns';
import type { ClientId, VisitId } from '../../core/ids';
import { mailKeyLength } from '../../core/messages/bounce';
import type { MessageKind } from '../../core/messages/kinds';
import { type Reach, reachOf } from '../../core/messages/reach';
import type { Db } from '../db/connection';
import { composeMessage } from './compose';
import {
  changeMessage,
  dropWaiting,
  findReminded,
  insertMessage,
  listComing,
  listMessagesOfVisit,
  listStanding,
  type Reminded,
  wasTold,
} from './messages.repository';

/**
 * What bookings put into the outbox. By mail a client hears of a visit when it is booked, with an invitation for their
 * own calendar; a day before it, by mail or text; and of a change, once they have heard of the visit at all.
 */

/** Visits booked at once, by the client's way. */
export async function noteBooked(db: Db, visitIds: readonly VisitId[], now: Date): Promise<void> {
  const first = visitIds[0];
  const visit = first === undefined ? undefined : await findReminded(db, first);
  if (!visit || first === undefined) return;
  const isInvited = await invite(db, visit, now);
  for (const id of visitIds) await remind(db, id, now, isInvited && id === first);
}

/** The client's calendar is for those who agreed to mails. @returns whether an invitation goes out */
async function invite(db: Db, visit: Reminded, now: Date): Promise<boolean> {
  const reach = reachOf(visit);
  if (reach?.way !== 'mail' || !reach.isAgreed || visit.starts_at <= now.toISOString()) return false;
  await push(db, visit, reach, 'booked', now, now);
  return true;
}

/** @param isToldNow another message tells of the visit today: one that is tomorrow needs no second */
async function remind(db: Db, visitId: VisitId, now: Date, isToldNow = false): Promise<void> {
  const visit = await findReminded(db, visitId);
  const reach = visit && reachOf(visit);
  if (!reach || visit.starts_at <= now.toISOString()) return;
  const dayBefore = subHours(new Date(visit.starts_at), 24);
  if (dayBefore <= now && isToldNow) return;
  await push(db, visit, reach, 'expected', dayBefore > now ? dayBefore : now, now);
}

async function push(db: Db, visit: Reminded, reach: Reach, kind: MessageKind, due: Date, now: Date): Promise<void> {
  const message = await composeMessage(db, { visit_id: visit.id, kind }, now);
  if (!message) return;
  await insertMessage(db, {
    ...{ visit_id: visit.id, kind, channel: reach.way, address: reach.address, words: message.words },
    ...{ due_at: due.toISOString(), settled_at: null, next_try_at: null },
    // Given at once: a mail that is sent twice after a mishap is then seen to be the same.
    mail_key: randomBytes(mailKeyLength / 2).toString('hex'),
  });
}

/** A visit has another time or therapist. */
export async function noteMoved(db: Db, visitId: VisitId, now: Date): Promise<void> {
  const visit = await findReminded(db, visitId);
  if (!visit) return;
  await dropWaiting(db, visitId, ['expected', 'moved', 'cancelled'], now.toISOString());
  const isToldNow = await tellOfChange(db, visit, 'moved', now);
  await remind(db, visitId, now, isToldNow);
}

/** A visit will not be: what waits goes, and whoever knows of it is told. */
export async function noteCancelled(db: Db, visitId: VisitId, now: Date): Promise<void> {
  const visit = await findReminded(db, visitId);
  if (!visit) return;
  await dropWaiting(db, visitId, ['expected', 'moved', 'cancelled'], now.toISOString());
  await passInvitationOn(db, visit, now);
  await tellOfChange(db, visit, 'cancelled', now);
}

/** The invitation to a row hangs on its first visit; without that one it hangs on the next. */
async function passInvitationOn(db: Db, visit: Reminded, now: Date): Promise<void> {
  const at = now.toISOString();
  const waiting = (await listMessagesOfVisit(db, visit.id)).find(
    ({ kind, state }) => kind === 'booked' && state === 'waiting',
  );
  if (!waiting) return;
  const [next] = visit.series === null ? [] : await listStanding(db, visit.series, at);
  await changeMessage(db, waiting.id, next ? { visit_id: next.id } : { state: 'cancelled', settled_at: at });
}

/** A visit that was cancelled will be after all. */
export async function noteTakenBack(db: Db, visitId: VisitId, now: Date): Promise<void> {
  const visit = await findReminded(db, visitId);
  if (!visit) return;
  const isUntold = (await dropWaiting(db, visitId, ['cancelled'], now.toISOString())) > 0;
  const isToldNow =
    (!isUntold && (await tellOfChange(db, visit, 'moved', now))) ||
    (!(await wasTold(db, visit)) && (await isLastOfItsRow(db, visit, now)) && (await invite(db, visit, now)));
  await remind(db, visitId, now, isToldNow);
}

/** Whether no invitation to the row waits any more. */
async function isLastOfItsRow(db: Db, visit: Reminded, now: Date): Promise<boolean> {
  const row = visit.series === null ? [visit] : await listStanding(db, visit.series, now.toISOString());
  for (const { id } of row)
    if ((await listMessagesOfVisit(db, id)).some(({ kind, state }) => kind === 'booked' && state === 'waiting'))
      return false;
  return true;
}

/** @returns whether the client is told: only somebody who knows of a visit hears of its change */
async function tellOfChange(db: Db, visit: Reminded, kind: 'moved' | 'cancelled', now: Date): Promise<boolean> {
  const reach = reachOf(visit);
  if (!reach || visit.starts_at <= now.toISOString() || !(await wasTold(db, visit))) return false;
  await push(db, visit, reach, kind, now, now);
  return true;
}

/** A client's number, address or wish is another: what has not gone out follows it. */
export async function followClient(db: Db, clientId: ClientId, now: Date): Promise<void> {
  const at = now.toISOString();
  for (const visitId of await listComing(db, clientId, at)) {
    const visit = await findReminded(db, visitId);
    if (!visit) continue;
    const reach = reachOf(visit);
    const messages = await listMessagesOfVisit(db, visitId);
    for (const message of messages.filter(({ state }) => state === 'waiting' || state === 'failed')) {
      const mayGo = reach && (message.kind !== 'booked' || (reach.way === 'mail' && reach.isAgreed));
      if (!mayGo) await changeMessage(db, message.id, { state: 'cancelled', settled_at: at });
      else if (message.address !== reach.address || message.channel !== reach.way)
        await changeMessage(db, message.id, {
          ...{ channel: reach.way, address: reach.address },
          // What did not arrive at the old address has not been tried at the new one.
          ...{ state: 'waiting', settled_at: null, trouble: '', tries: 0, next_try_at: null },
        });
    }
    const isReminded = messages.some(({ kind, state }) => kind === 'expected' && state !== 'cancelled');
    if (!isReminded) await remind(db, visitId, now);
  }
}
