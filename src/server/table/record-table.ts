import type { VisitId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import { oilBook } from '../../catalogue/oils/oils';
import { referralWords } from '../../catalogue/swelling/scales.data';
import { readCase } from '../../core/drainage/case';
import { checkCourse } from '../../core/drainage/check';
import type { StageOrEnd } from '../../contracts/people-views';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { TableLead, TableNow } from '../../contracts/visit-views';
import type { FieldError } from '../../core/result';
import { rankOf } from '../../core/screening/tables';
import { gatesInWords } from '../../core/visit/gates';
import { stopsTreatment } from '../../core/swelling/referral';
import type { TableEvent } from '../../core/table/table-event';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { findLead, insertEvents, listEvents, setLead } from './table-events.repository';
import { findVisit, latestPlan } from '../visits/visits.repository';
import { chosenAgainst } from '../oils/choose-blend';
import { layersWithoutBottle } from '../oils/usable-shelf';
import { isoDay } from '../shared/house-clock';
import { readFlags } from '../screening/raise-flags';
import { readGates } from '../visits/visit-gates';
import { readVisitFrame, toPlanView } from '../visits/read-visit';
import { type Actor, type SaveRefusal, advance } from '../shared/saving';
import { tableAnswers } from './table.answers';

/** Whether the plan may be carried out: decided, without broken rules, or with a written reason for each that is kept. */
export async function readyForTable(db: Db, visitId: VisitId): Promise<readonly FieldError[] | undefined> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) return undefined;
  const row = await latestPlan(db, visitId);
  if (!row) return [{ path: 'plan', message: tableAnswers.makeAPlanFirst }];
  const view = toPlanView(row, visit);
  if (visit.stage === 'stopped') return [{ path: 'check', message: tableAnswers.theCheckStoppedThisVisit }];
  const stopping = (await readFlags(db, visit.client.id, visitId)).find(({ level }) => stopsTreatment(level));
  if (stopping)
    return [
      {
        path: 'flags',
        message: tableAnswers.closeItWithANoteFirst(referralWords[stopping.level].label, stopping.why),
      },
    ];
  const missing = await readGates(db, visit);
  if (missing.length > 0)
    return [{ path: missing[0]?.gate ?? 'check', message: tableAnswers.beforeTheTable(gatesInWords(missing)) }];
  if (view.isStale) return [{ path: 'plan', message: tableAnswers.findingsOrTherapistHaveChangedSince }];
  const bottles = await chosenAgainst(db, visit);
  if (bottles.length > 0) return bottles;
  const layers = await layersWithoutBottle(db, view.treatment, isoDay(visit.startsAt));
  if (layers.length > 0) return layers;
  if (view.treatment) return readyTreatment(view.treatment, view.reason);
  if (rankOf(view.plan.decision) >= rankOf('clear-first'))
    return [{ path: 'plan', message: view.plan.reasons[0]?.text ?? tableAnswers.thisPlanIsNotToBe }];
  const read = readCase(anatomy, view.drainageCase);
  const errors = read.ok ? checkCourse(anatomy, read.value, view.steps).filter((v) => v.severity === 'error') : [];
  if (errors.length > 0 && view.reason === '')
    return [{ path: 'reason', message: tableAnswers.theCourseBreaksARuleMend }];
  return [];
}

/** The same of a treatment of several parts: nothing broken, or a reason why it is kept; in the time there is. */
function readyTreatment(treatment: TreatmentView, reason: string): readonly FieldError[] {
  if (treatment.blocks.length === 0) return [{ path: 'plan', message: tableAnswers.nothingOfWhatWasChosenMay }];
  if (!treatment.fits)
    return [
      {
        path: 'minutes',
        message: tableAnswers.evenTheShortestFormTakesSeconds(treatment.shortBySeconds),
      },
    ];
  const broken = [...treatment.faults, ...treatment.stepFaults, ...treatment.conflicts].find(
    ({ severity }) => severity === 'error',
  );
  return broken && reason === '' ? [{ path: 'reason', message: tableAnswers.mendItOrWriteWhyYou(broken.message) }] : [];
}

/** What a device learns from sending: how much of the treatment is on record, and who leads it. */
export interface KeptEvents {
  readonly kind: 'saved';
  /** How many of what was sent were new. */
  readonly stored: number;
  /** The device does not lead (any more): what it sent is on record, but the treatment is not replayed from it. */
  readonly isAside: boolean;
  readonly lead: TableLead | null;
}

/**
 * Keeps events of the table as they come; sending again is harmless. The device that begins leads; what another one
 * sends is kept aside, so that nothing is lost and two never write one treatment.
 */
export async function recordEvents(
  db: Db,
  visitId: VisitId,
  { deviceId, events }: { readonly deviceId: string; readonly events: readonly TableEvent[] },
  actor: Actor,
): Promise<KeptEvents | SaveRefusal> {
  const [known, row] = await Promise.all([findLead(db, visitId), findVisit(db, visitId)]);
  if (!row) return { kind: 'not-found' };
  if (!known && (await listEvents(db, visitId)).length === 0) {
    const errors = await readyForTable(db, visitId);
    if (errors && errors.length > 0) return { kind: 'refused', errors };
  }
  const strange = events.findIndex(({ oil }) => oil !== undefined && !oilBook.oils.has(oil));
  if (strange >= 0)
    return {
      kind: 'refused',
      errors: [{ path: tableAnswers.eventsOil(strange), message: tableAnswers.thereIsNoSuchOilIn }],
    };
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const lead = (await findLead(trx, visitId)) ?? { deviceId, takenAt: now };
    const isAside = lead.deviceId !== deviceId && !events.every(isSideSaidLater);
    if (!known && !isAside) await setLead(trx, visitId, deviceId, now);
    const stored = await insertEvents(trx, visitId, events, now, { deviceId, isAside });
    const isAtItsEnd = !isAside && events.some(({ kind }) => kind === 'finish');
    await advance(trx, visitId, row.stage as StageOrEnd, isAtItsEnd ? 'close' : 'table');
    return { kind: 'saved', stored, isAside, lead } as const;
  });
}

/** The side of a mark that is said at closing: it belongs to what was marked, whichever device says it. */
const isSideSaidLater = ({ kind, side }: TableEvent) => kind === 'mark' && side !== undefined;

/** Another device leads from now on; what the one before still sends is kept aside. */
export async function takeLead(
  db: Db,
  visitId: VisitId,
  deviceId: string,
  actor: Actor,
): Promise<({ readonly kind: 'saved' } & TableNow) | SaveRefusal> {
  if (!(await findVisit(db, visitId))) return { kind: 'not-found' };
  return db.transaction().execute(async (trx) => {
    const now = actor.now.toISOString();
    const known = await findLead(trx, visitId);
    if (known && known.deviceId !== deviceId) {
      await setLead(trx, visitId, deviceId, now);
      await insertAudit(trx, {
        ...{ at: now, by: actor.therapistId, action: 'table taken over', subject: `visit ${visitId}` },
      });
    }
    return { kind: 'saved', ...(await readTableNow(trx, visitId)) } as const;
  });
}

/** How a treatment stands, for a device that follows. */
export async function readTableNow(db: Db, visitId: VisitId): Promise<TableNow> {
  const [events, lead] = await Promise.all([listEvents(db, visitId), findLead(db, visitId)]);
  return { events, lead: lead ?? null };
}
