import type { VisitRecord } from './visit-record';
import { createHash } from 'node:crypto';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook } from '../../catalogue/screening/screening';
import type { ClientBrief, StageOrEnd, TherapistView } from '../../contracts/people-views';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { defaultSchool, type DrainageCase, type Purpose } from '../../core/drainage/case';
import type { DrainagePlan } from '../../core/drainage/plan';
import type { TableStep } from '../../core/table/table-step';
import { pregnancyOn, trimesters } from '../../core/screening/pregnancy';
import { ageOn, findingsInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { PlanRow, VisitRow } from '../db/schema';
import { findClient } from '../clients/clients.repository';
import { listFindings, type StoredFinding } from '../screening/findings.repository';
import { findMeasuring } from '../measures/measures.repository';
import { findHouse, listTherapists } from '../people/people.repository';
import { listOverrides } from '../screening/screening.repository';
import { latestClosing, listSignatures } from './closings.repository';
import { countAside, findLead, listEvents } from '../table/table-events.repository';
import { countEarlierVisits, findVisit, latestAnswers, latestPlan } from './visits.repository';
import { lastTapingBefore, listTapingsOfVisit } from '../measures/tapings.repository';
import { describeFinding, drainageOf } from '../screening/describe-finding';
import { clockTime, isoDay, longDay, shortDay } from '../shared/house-clock';
import { screenCase, type ScreeningCase, screenDrainage } from '../screening/screen-visit';
import { readVolumeSettings, withVolume } from '../measures/taping-volume';
import { readIrritated } from '../measures/skin-today';
import { readGates } from './visit-gates';
import { readVisitBlends } from '../oils/visit-blends';
import { holdsOf, modalitiesOf, workOf } from './visit-holds';

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

/** What screening is asked about a visit: all that is on the record, and the red flags of the day. */
export function screeningCaseOf(visit: VisitRecord): ScreeningCase {
  const flags = screeningBook.redFlags.filter(({ id }) => visit.answers[id] === 'yes');
  return {
    visitDate: isoDay(visit.startsAt),
    age: visit.client.age,
    findings: inTrimester(visit),
    flagged: flags.map((flag) => flag.condition),
    qualifications: visit.therapist.qualifications,
    overrides: visit.overrides,
  };
}

/** A pregnancy with a due date is in the trimester of the day of the visit, whatever it was when it was written down. */
function inTrimester(visit: VisitRecord): readonly StoredFinding[] {
  const now = visit.dueOn === null ? undefined : pregnancyOn(visit.dueOn, isoDay(visit.startsAt));
  if (!now) return visit.stored;
  return visit.stored.map((finding) => (trimesters.includes(finding.id) ? { ...finding, id: now.condition } : finding));
}

/** The case that a visit stands for right now. */
export function caseOf(
  visit: VisitRecord,
  wish: Partial<Pick<DrainageCase, 'school' | 'minutes' | 'fill' | 'use' | 'refuse'>> = {},
): DrainageCase {
  return {
    focus: visit.focus,
    purpose: visit.purpose,
    findings: drainageOf(visit.stored),
    school: wish.school ?? visit.school,
    minutes: wish.minutes ?? visit.minutes,
    fill: wish.fill ?? false,
    ...(wish.use && wish.use.length > 0 ? { use: wish.use } : {}),
    ...(wish.refuse && wish.refuse.length > 0 ? { refuse: wish.refuse } : {}),
    qualifications: visit.therapist.qualifications,
    screened: screenDrainage(screeningCaseOf(visit)),
  };
}

export function toPlanView(row: PlanRow, visit: VisitRecord): PlanView {
  const drainageCase = JSON.parse(row.case_json) as DrainageCase;
  const { treatment = null, ...plan } = JSON.parse(row.plan_json) as DrainagePlan & { treatment?: TreatmentView };
  const now = caseOf(visit, drainageCase);
  const isStale = treatment ? treatment.screened !== screenedOf(visit) : factsOf(now) !== factsOf(drainageCase);
  return {
    version: row.version,
    drainageCase,
    plan,
    treatment,
    steps: JSON.parse(row.steps_json) as TableStep[],
    isRearranged: row.is_rearranged === 1,
    reason: row.reason,
    isStale,
    madeOn: isoDay(row.recorded_at),
  };
}

/** A case without the sentences in it: another wording of a reason makes no plan old. */
function factsOf({ screened, ...given }: DrainageCase): string {
  if (!screened) return JSON.stringify(given);
  const { drainage, rerouting, ...limits } = screened;
  return JSON.stringify([given, limits, drainage.decision, rerouting.decision]);
}

/** Which judgement a plan was made by: plans of another are judged anew. */
const judgedBy = 'judgement 2';

/** What screening and the skin of the day say of a visit, to be compared later: any change makes a treatment stale. */
export function screenedOf(visit: VisitRecord): string {
  const { byModality, regions } = screenCase(screeningCaseOf(visit));
  const rows = [...byModality, ...regions].map((row) => [
    row.modality,
    'region' in row ? row.region : '',
    row.decision,
    row.limits,
  ]);
  const text = JSON.stringify([
    judgedBy,
    rows,
    visit.focus,
    visit.purpose,
    visit.therapist.qualifications,
    [...visit.irritated],
  ]);
  return createHash('sha256').update(text).digest('base64url').slice(0, 22);
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
  const focus = JSON.parse(row.focus_json) as string[];
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
    holds: holdsOf(row)?.holds ?? null,
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
export async function readVisit(db: Db, id: number): Promise<VisitView | undefined> {
  const record = await readVisitFrame(db, id);
  return record && completeVisit(db, record);
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
