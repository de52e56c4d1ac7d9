import type { ClientId, TherapistId, VisitId } from '../core/ids';
import { anatomy } from '../catalogue/anatomy';
import { caseColumn, planColumn, stepsColumn } from '../server/visits/plan.documents';
import { defaultSchool, type DrainageCase, readCase } from '../core/drainage/case';
import { planDrainage } from '../core/drainage/plan';
import { middleX, sideOfLine } from '../core/facial/line';
import type { TableStep } from '../core/table/table-step';
import { usualLines } from '../catalogue/facial/usual-lines';
import { insertObservation } from '../server/measures/measures.repository';
import { storeTreatment } from '../server/treatments/make-treatment';
import { readHouseLibrary } from '../server/library/read-library';
import { readVisitFrame } from '../server/visits/read-visit';
import type { Db } from '../server/db/connection';
import { listFindings } from '../server/screening/findings.repository';
import { insertPlan } from '../server/visits/visits.repository';
import { drainageOf } from '../server/screening/describe-finding';
import type { DemoClient } from './demo-client';
import { demoStaff } from './house.data';

/** Plans the client's drainage as it was then, and stores it. @returns its steps */
export async function planDrainageOf(
  db: Db,
  client: DemoClient,
  clientId: ClientId,
  visitId: VisitId,
  therapistId: TherapistId,
  recordedAt: string,
): Promise<readonly TableStep[]> {
  const input: DrainageCase = {
    focus: client.focus,
    purpose: client.purpose,
    findings: drainageOf(await listFindings(db, clientId)),
    school: defaultSchool,
    minutes: client.minutes,
    fill: false,
    qualifications: demoStaff[client.therapist]?.qualifications ?? [],
  };
  const read = readCase(anatomy, input);
  if (!read.ok) throw new Error(`demo client ${client.name}: ${read.errors.map((e) => e.message).join('; ')}`);
  const plan = planDrainage(anatomy, read.value);
  await insertPlan(db, {
    visit_id: visitId,
    version: 1,
    case_json: caseColumn.write(input),
    plan_json: planColumn.write(plan),
    steps_json: stepsColumn.write(plan.steps),
    is_rearranged: 0,
    reason: '',
    recorded_at: recordedAt,
    recorded_by: therapistId,
  });
  return plan.steps;
}

/** The same for a treatment of several parts. */
export async function planTreatmentOf(
  db: Db,
  client: DemoClient,
  _clientId: number,
  visitId: VisitId,
  therapistId: TherapistId,
  recordedAt: string,
): Promise<readonly TableStep[]> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) throw new Error(`demo visit ${visitId} vanished`);
  const input = { ...wishOf(client), reason: '', basedOn: 0 };
  const actor = { therapistId, now: new Date(recordedAt) };
  return (await storeTreatment(db, await readHouseLibrary(db), visit, input, actor)).steps;
}

/** What a client's visits hold, as it is chosen in the plan. */
export const wishOf = ({ holds = [], minutes }: DemoClient) => ({
  choices: holds.map((protocol, i) => ({ id: `c${i + 1}`, protocol })),
  minutes,
  isShort: false,
  fill: false,
  bothSides: false,
});

/** Lines of the face as they usually run, a second one of a kind a little beside the first. */
export async function drawLines(
  db: Db,
  lines: NonNullable<DemoClient['lines']>,
  clientId: ClientId,
  visitId: VisitId,
  therapistId: TherapistId,
  at: string,
): Promise<void> {
  const drawn = lines.map(([kind, side], i) => {
    const before = lines.slice(0, i).filter(([k, s]) => k === kind && s === side).length;
    const shapes = usualLines[kind];
    const shape = shapes[before % shapes.length] ?? [];
    const points = shape.map(([x, y]): [number, number] => [side === 'left' ? x : 2 * middleX - x, y]);
    return {
      id: `l${i + 1}`,
      kind,
      side: sideOfLine('face-front', 'left', points),
      drawing: 'face-front' as const,
      profile: 'left' as const,
      points,
    };
  });
  await insertObservation(
    db,
    { clientId, visitId, takenAt: at },
    { kind: 'lines', phase: 'before', place: null, value: { lines: drawn }, replaces: null },
    therapistId,
    at,
  );
}
