import { fingerprintOfCase, fingerprintOfVisit } from './fingerprint';
import { caseOf } from './visit-case';
import type { VisitRecord } from './visit-record';
import { anatomy } from '../../catalogue/anatomy';
import type { ClientBrief, StageOrEnd, TherapistView } from '../../contracts/people-views';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { PlanView, VisitLookedBack, VisitView } from '../../contracts/visit-views';
import { defaultSchool, type Purpose } from '../../core/drainage/case';
import { ageOn, findingsInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { PlanRow, VisitRow } from '../db/schema';
import { findClient } from '../clients/clients.repository';
import { listFindings, type StoredFinding } from '../screening/findings.repository';
import { findMeasuring } from '../people/settings.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { listOverrides } from '../screening/screening.repository';
import { latestClosing, listSignatures } from './closings.repository';
import { countAside, findLead, listEvents } from '../table/table-events.repository';
import { countEarlierVisits, findVisit, latestAnswers, latestPlan } from './visits.repository';
import { lastTapingBefore, listTapingsOfVisit } from '../measures/tapings.repository';
import { describeFinding, drainageOf } from '../screening/describe-finding';
import { clockTime, isoDay, longDay, shortDay } from '../shared/house-clock';
import { readVolumeSettings, withVolume } from '../measures/taping-volume';
import { readIrritated } from '../measures/skin-today';
import { readRemembered } from './read-remembered';
import { readGates } from './visit-gates';
import { readVisitBlends } from '../oils/visit-blends';
import { storedWork, modalitiesOf, workOf } from './visit-holds';
import { caseColumn, planColumn, stepsColumn } from './plan.documents';
import { focusColumn } from './visit.documents';

/** Who a client is, in words that the next client may read: what limits the work, never a disease. */
export function briefOf(
  client: { readonly id: number; readonly name: string; readonly born_on: string | null },
  findings: readonly StoredFinding[],
  onDate: string,
): ClientBrief {
  const atAGlance = drainageOf(findings).filter((finding) => finding.id !== 'cancer-history');
  return {
    id: client.id,
    name: client.name,
    age: ageOn(client.born_on, onDate),
    about: findingsInWords(anatomy, atAGlance),
  };
}

/** @throws Error when a visit names a therapist who is not there, which foreign keys forbid */
export function therapistOf(therapists: readonly TherapistView[], id: number): TherapistView {
  const therapist = therapists.find((t) => t.id === id);
  if (!therapist) throw new Error(`no therapist ${id}`);
  return therapist;
}

/** Handed over or moved to a colleague, it would go by hands that do not give it. */
const isAtAnothersPace = ({ pace }: TreatmentView, { therapist }: VisitRecord): boolean =>
  pace?.isOwn === true && pace.therapist !== therapist.id;

export function toPlanView(row: PlanRow, visit: VisitRecord): PlanView {
  const drainageCase = caseColumn.read(row.case_json);
  const { treatment = null, facts, ...plan } = planColumn.read(row.plan_json);
  const now = caseOf(visit, drainageCase);
  const isStale = treatment
    ? treatment.screened !== fingerprintOfVisit(visit) || isAtAnothersPace(treatment, visit)
    : fingerprintOfCase(now) !== (facts ?? fingerprintOfCase(drainageCase));
  return {
    version: row.version,
    drainageCase,
    plan,
    treatment,
    steps: stepsColumn.read(row.steps_json),
    isRearranged: row.is_rearranged === 1,
    reason: row.reason,
    isStale,
    madeOn: isoDay(row.recorded_at),
  };
}

async function frameOf(db: Db, row: VisitRow): Promise<VisitRecord> {
  const client = await findClient(db, row.client_id);
  if (!client) throw new Error(`visit ${row.id} has no client`);
  const [findings, therapists, house, answers, overrides, earlier, irritated] = await Promise.all([
    listFindings(db, client.id),
    listTherapists(db),
    findHouse(db),
    latestAnswers(db, row.id),
    listOverrides(db, row.id),
    countEarlierVisits(db, row),
    readIrritated(db, row.id),
  ]);
  const focus = focusColumn.read(row.focus_json);
  const purpose = row.purpose as Purpose;
  return {
    id: row.id,
    startsAt: row.starts_at,
    time: clockTime(row.starts_at),
    date: longDay(row.starts_at),
    minutes: row.minutes,
    stage: row.stage as StageOrEnd,
    focus,
    purpose,
    work: workOf(row),
    holds: storedWork(row)?.holds ?? null,
    client: briefOf(client, findings, isoDay(row.starts_at)),
    therapist: therapistOf(therapists, row.therapist_id),
    findings: findings.map((finding) => describeFinding(finding, isoDay(row.starts_at))),
    stored: findings,
    answers,
    overrides,
    modalities: modalitiesOf(row),
    medicines: client.medicines,
    irritated,
    dueOn: client.due_on,
    school: house?.school ?? defaultSchool,
    isFirst: earlier === 0,
  };
}

/** @returns undefined when there is no such visit */
export async function readVisitFrame(db: Db, id: number): Promise<VisitRecord | undefined> {
  const row = await findVisit(db, id);
  return row && frameOf(db, row);
}

/** Everything that the views of one visit show. @returns undefined when there is no such visit */
export async function readVisit(db: Db, id: number): Promise<VisitLookedBack | undefined> {
  const record = await readVisitFrame(db, id);
  if (!record) return undefined;
  const [visit, remembered] = await Promise.all([
    completeVisit(db, record),
    readRemembered(db, record.client.id, record.startsAt, record.startsAt),
  ]);
  return { ...visit, remembered };
}

/** The rest of a visit whose frame has been read: measurements, plan, what happened, how it ended. */
export async function completeVisit(db: Db, record: VisitRecord): Promise<VisitView> {
  const { stored, overrides, modalities, medicines, irritated, dueOn, ...frame } = record;
  const { id } = frame;
  const [
    missing,
    settings,
    measuring,
    tapings,
    last,
    plan,
    events,
    lead,
    closing,
    blends,
    signatures,
    asideCount,
    therapists,
  ] = await Promise.all([
    readGates(db, record),
    readVolumeSettings(db, frame.client.id),
    findMeasuring(db),
    listTapingsOfVisit(db, id),
    lastTapingBefore(db, frame.client.id, frame.startsAt, id),
    latestPlan(db, id),
    listEvents(db, id),
    findLead(db, id),
    latestClosing(db, id),
    readVisitBlends(db, id),
    listSignatures(db, id),
    countAside(db, id),
    listTherapists(db),
  ]);
  const newest = (phase: 'before' | 'after') => {
    const row = tapings.findLast((taping) => taping.phase === phase);
    return row ? withVolume(row, settings) : null;
  };
  return {
    ...frame,
    missing,
    volumeSettings: settings,
    volumeUnit: measuring.volumeUnit,
    before: newest('before'),
    after: newest('after'),
    lastTime: last ? { ...withVolume(last, settings), date: shortDay(last.taken_at) } : null,
    plan: plan ? toPlanView(plan, record) : null,
    events,
    lead: lead ?? null,
    closing: closing ?? null,
    signatures: signatures.map(({ version, therapistId, signedAt }) => ({
      ...{ version, at: signedAt },
      by: therapists.find((one) => one.id === therapistId)?.name ?? '',
    })),
    asideCount,
    blends,
  };
}
