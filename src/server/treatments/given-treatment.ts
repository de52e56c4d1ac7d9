import { holdsOf } from '../../contracts/treatment';
import type { Minutes } from '../../core/quantities';
import type { ClientId, VisitId } from '../../core/ids';
import type { BlockView } from '../../contracts/treatment-views';
import { anatomy } from '../../catalogue/anatomy';
import { replay } from '../../core/table/progress';
import { stepsAfter } from '../../core/table/refit';
import { type TableStep, titleOf } from '../../core/table/table-step';
import type { GivenTreatment } from '../../core/treatment/compare';
import type { Db } from '../db/connection';
import type { TreatmentHolds } from '../../contracts/treatment';
import { listEvents } from '../table/table-events.repository';
import { lastGivenTreatment, latestPlan } from '../visits/visits.repository';
import { shortDay } from '../shared/house-clock';
import { planColumn, stepsColumn } from '../visits/plan.documents';
import { holdsColumn } from '../visits/visit.documents';

/** The part of an id of block or step that does not depend on which choice it belongs to. */
const withoutChoice = (id: string) => id.slice(id.indexOf('/') + 1);

/** A treatment as it is compared with another. */
export function givenOf(minutes: Minutes, blocks: readonly BlockView[], steps: readonly TableStep[]): GivenTreatment {
  const byId = new Map(steps.map((step) => [step.id, step]));
  return {
    minutes,
    blocks: blocks.map((block) => ({
      key: `${block.protocol}/${withoutChoice(block.id)}`,
      name: block.name,
      steps: block.steps.flatMap((id) => {
        const step = byId.get(id);
        // What the planner worked out is another course each time; only that it was given is compared.
        return step?.told
          ? [{ key: withoutChoice(id), title: titleOf(anatomy, step), repetitions: step.repetitions }]
          : [];
      }),
    })),
  };
}

export interface LastTreatment {
  readonly visitId: VisitId;
  readonly date: string;
  readonly name: string;
  readonly minutes: Minutes;
  readonly holds: TreatmentHolds;
  readonly given: GivenTreatment;
}

/** The last treatment of several parts that a client had before a time, as it was given: without what was skipped. */
export async function lastTreatment(db: Db, clientId: ClientId, before: string): Promise<LastTreatment | null> {
  const visit = await lastGivenTreatment(db, clientId, before);
  const row = visit && (await latestPlan(db, visit.id));
  if (!visit || !row) return null;
  const { treatment } = planColumn.read(row.plan_json);
  if (!treatment) return null;
  const state = replay(await listEvents(db, visit.id));
  const planned = stepsAfter(stepsColumn.read(row.steps_json), state.change);
  const input = planned.filter(({ id }) => state.outcomes.get(id)?.state === 'done');
  const ids = new Set(input.map(({ id }) => id));
  const { minutes } = treatment.wish;
  return {
    visitId: visit.id,
    date: shortDay(visit.starts_at),
    name: holdsColumn.read(visit.holds_json).name,
    minutes,
    holds: holdsOf(treatment.wish),
    given: givenOf(
      minutes,
      treatment.blocks
        .map((block) => ({ ...block, steps: block.steps.filter((id) => ids.has(id)) }))
        .filter(({ steps }) => steps.length > 0),
      input,
    ),
  };
}
