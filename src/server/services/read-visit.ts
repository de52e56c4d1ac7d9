import { anatomy } from '../../catalogue/anatomy';
import type {
  ClientBrief,
  PlacedFinding,
  PlanView,
  StageOrEnd,
  TherapistView,
  VisitFrame,
  VisitView,
} from '../../contracts/views';
import { defaultSchool, type DrainageCase, type Purpose } from '../../core/drainage/case';
import type { DrainagePlan } from '../../core/drainage/plan';
import type { Step } from '../../core/drainage/step';
import { ageOn, findingsInWords, workInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { PlanRow, VisitRow } from '../db/schema';
import { listFindings } from '../repositories/findings';
import { findClient, findHouse, listTherapists } from '../repositories/people';
import {
  findVisit,
  latestAnswers,
  latestClosing,
  latestPlan,
  latestTaping,
  listEvents,
  listTapingsOfClient,
  listVisitsOfClient,
} from '../repositories/visits';
import { clockTime, isoDay, longDay, shortDay } from './house-clock';
import { withVolume } from './taping-volume';

/** Who a client is, in words that the next client may read: what limits the work, never a disease. */
export function briefOf(
  client: { readonly id: number; readonly name: string; readonly born_on: string | null },
  findings: readonly PlacedFinding[],
  onDate: string,
): ClientBrief {
  const atAGlance = findings.filter((finding) => finding.id !== 'cancer-history');
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

/** The case that a visit stands for right now. */
export function caseOf(
  visit: VisitFrame,
  wish: { readonly school?: DrainageCase['school']; readonly minutes?: number; readonly fill?: boolean } = {},
): DrainageCase {
  return {
    focus: visit.focus,
    purpose: visit.purpose,
    findings: visit.findings.map(({ id, side, regions, crosses }) => ({
      id,
      ...(side ? { side } : {}),
      ...(regions ? { regions } : {}),
      ...(crosses ? { crosses } : {}),
    })),
    school: wish.school ?? visit.school,
    minutes: wish.minutes ?? visit.minutes,
    fill: wish.fill ?? false,
    qualifications: visit.therapist.qualifications,
  };
}

export function toPlanView(row: PlanRow, visit: VisitFrame): PlanView {
  const drainageCase = JSON.parse(row.case_json) as DrainageCase;
  const now = caseOf(visit, drainageCase);
  return {
    version: row.version,
    drainageCase,
    plan: JSON.parse(row.plan_json) as DrainagePlan,
    steps: JSON.parse(row.steps_json) as Step[],
    isRearranged: row.is_rearranged === 1,
    reason: row.reason,
    isStale: JSON.stringify(now) !== JSON.stringify(drainageCase),
  };
}

async function frameOf(db: Db, row: VisitRow): Promise<VisitFrame> {
  const client = await findClient(db, row.client_id);
  if (!client) throw new Error(`visit ${row.id} has no client`);
  const [findings, therapists, house] = await Promise.all([
    listFindings(db, client.id),
    listTherapists(db),
    findHouse(db),
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
    work: workInWords(anatomy, focus, purpose),
    client: briefOf(client, findings, isoDay(row.starts_at)),
    therapist: therapistOf(therapists, row.therapist_id),
    findings,
    school: house?.school ?? defaultSchool,
  };
}

/** @returns undefined when there is no such visit */
export async function readVisitFrame(db: Db, id: number): Promise<VisitFrame | undefined> {
  const row = await findVisit(db, id);
  return row && frameOf(db, row);
}

/** Everything that the views of one visit show. @returns undefined when there is no such visit */
export async function readVisit(db: Db, id: number): Promise<VisitView | undefined> {
  const frame = await readVisitFrame(db, id);
  if (!frame) return undefined;
  const [answers, before, after, plan, events, closing, lastTime] = await Promise.all([
    latestAnswers(db, id),
    latestTaping(db, id, 'before'),
    latestTaping(db, id, 'after'),
    latestPlan(db, id),
    listEvents(db, id),
    latestClosing(db, id),
    lastTapingBefore(db, frame),
  ]);
  return {
    ...frame,
    answers,
    before: before ? withVolume(before) : null,
    after: after ? withVolume(after) : null,
    lastTime,
    plan: plan ? toPlanView(plan, frame) : null,
    events,
    closing: closing ?? null,
  };
}

async function lastTapingBefore(db: Db, frame: VisitFrame): Promise<VisitView['lastTime']> {
  const [tapings, visits] = await Promise.all([
    listTapingsOfClient(db, frame.client.id),
    listVisitsOfClient(db, frame.client.id),
  ]);
  for (const visit of visits) {
    if (visit.starts_at >= frame.startsAt || visit.id === frame.id) continue;
    const taping = tapings.find((row) => row.visit_id === visit.id && row.phase === 'before');
    if (taping) return { ...withVolume(taping), date: shortDay(visit.starts_at) };
  }
  return null;
}
