import type { PlaceId } from '../anatomy/place';
import type { DrainagePlan } from '../drainage/plan';
import { leadsToNode } from '../judgement/judge-step';
import type { TreatmentStep } from './block';
import type { LeftOut } from './left-out';

/**
 * Plans the way round for skin whose node group is closed, by the rules of drainage; undefined when the therapist may
 * not lead it, or there is none.
 */
export type WayRound = (territories: readonly PlaceId[]) => DrainagePlan | undefined;

/** Whether something that is left out waits for the planner to lead it round: strokes of drainage on skin without its group. */
export const isForPlanner = (technique: TreatmentStep['technique'], { reason }: LeftOut): boolean =>
  reason.kind === 'closed-group' &&
  leadsToNode(technique) &&
  (technique.family === 'lymph-stretch' || technique.family === 'lymph-sweep');
