import type { ClientId, VisitId } from '../../core/ids';
import type { FlagView } from '../../contracts/measure-views';
import { referralLevels, referralsFor } from '../../core/swelling/referral';
import type { Db } from '../db/connection';
import type { ReferralFlagRow } from '../db/schema';
import {
  closeFlag,
  findClientMeasuring,
  insertFlag,
  listObservationsOfClient,
  listOpenFlags,
} from '../measures/measures.repository';
import { findMeasuring } from '../people/settings.repository';
import { listTapingsOfClient } from '../measures/tapings.repository';
import { insertAudit } from '../house/audit.repository';
import { readChangeLimits } from '../measures/change-limits';
import { shortDay } from '../shared/house-clock';
import type { VisitRecord } from '../visits/visit-record';
import type { Actor, SaveRefusal } from '../shared/saving';
import { readVolumeSettings, withVolume } from '../measures/taping-volume';
import { signsOf } from '../measures/visit-signs';

/**
 * Looks at all that is known of a visit and writes down every sign that asks for a physician, once while it is open.
 * @returns what stands open for the client
 */
export async function raiseFlags(db: Db, visit: VisitRecord, actor: Actor): Promise<readonly FlagView[]> {
  const clientId = visit.client.id;
  const [house, measuring, settings, rows, observations, open] = await Promise.all([
    findMeasuring(db),
    findClientMeasuring(db, clientId),
    readVolumeSettings(db, clientId),
    listTapingsOfClient(db, clientId),
    listObservationsOfClient(db, clientId),
    listOpenFlags(db, clientId),
  ]);
  const signs = signsOf(visit, {
    tapings: rows.map((row) => withVolume(row, settings)),
    observations,
    measuring,
    settings,
    limits: await readChangeLimits(db, house, settings, rows),
  });
  const known = new Set(open.map(({ rule }) => rule));
  const raised = referralsFor(signs).filter(({ id }) => !known.has(id));
  if (raised.length === 0) return open.map((row) => toFlag(row, visit.id)).sort(byLevel);
  const now = actor.now.toISOString();
  for (const { id, level, why } of raised)
    await insertFlag(db, { clientId, visitId: visit.id }, { rule: id, level, why }, actor.therapistId, now);
  return readFlags(db, clientId, visit.id);
}

const byLevel = (a: FlagView, b: FlagView) => referralLevels.indexOf(a.level) - referralLevels.indexOf(b.level);

/** What stands open for a client, most urgent first. */
export async function readFlags(db: Db, clientId: ClientId, visitId: VisitId): Promise<readonly FlagView[]> {
  return (await listOpenFlags(db, clientId)).map((row) => toFlag(row, visitId)).sort(byLevel);
}

function toFlag(row: ReferralFlagRow, visitId: VisitId): FlagView {
  return {
    id: row.id,
    rule: row.rule,
    level: row.level,
    why: row.why,
    raised: shortDay(row.raised_at),
    isOfThisVisit: row.visit_id === visitId,
  };
}

/** Closes a flag with what was done; until then it stays on the record. */
export async function settleFlag(
  db: Db,
  clientId: ClientId,
  id: number,
  note: string,
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const at = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await closeFlag(trx, clientId, id, note, actor.therapistId, at))) return { kind: 'not-found' } as const;
    await insertAudit(trx, {
      at,
      by: actor.therapistId,
      action: 'referral flag closed',
      subject: `client ${clientId}`,
      detail: note,
    });
    return { kind: 'saved' } as const;
  });
}
