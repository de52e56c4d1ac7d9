import { planWords } from './plan.words';
import { anatomy } from '../../catalogue/anatomy';
import type { PlacedFinding } from '../../contracts/people-views';
import type { PlaceId } from '../../core/anatomy/place';
import type { DrainagePlan } from '../../core/drainage/plan';
import type { Step } from '../../core/drainage/step';
import type { TableStep } from '../../core/table/table-step';
import type { PebbleMark, RegionMark, RouteMark } from '../../ui/body-map/map-marks';
import type { NodeState } from '../../ui/body-map/MapNode';
import { type FindingMarks, marksOf } from '../body-marks';

export interface PlanMarks extends FindingMarks {
  readonly routes: readonly RouteMark[];
  readonly pebbles: readonly PebbleMark[];
}

/** How a plan looks on the body: what is drained, what is prepared, which groups are opened or closed, the ways and the numbers. */
export function planMarks(
  findings: readonly PlacedFinding[],
  plan: DrainagePlan,
  steps: readonly Step[],
  selected: Step | undefined,
  faults: ReadonlySet<string>,
): PlanMarks {
  const found = marksOf(findings);
  const regions = new Map<PlaceId, RegionMark>();
  const nodes = new Map<PlaceId, NodeState>();
  for (const step of steps) {
    if (step.kind === 'drain') regions.set(step.place, { tone: 'drain', words: planWords.toDrain });
    if (step.kind === 'prepare') regions.set(step.place, { tone: 'prepare', words: planWords.toPrepare });
    if (step.kind === 'clear' && anatomy.basins.has(step.place)) nodes.set(step.place, 'to clear');
  }
  for (const id of plan.waiting) if (!regions.has(id)) regions.set(id, { tone: 'closed', words: planWords.hasToWait3 });
  for (const [id, mark] of found.regions) if (mark.tone === 'closed' || !regions.has(id)) regions.set(id, mark);
  for (const { to, chosen } of plan.candidates) if (!chosen && !nodes.has(to)) nodes.set(to, 'offered');
  for (const [id, state] of found.nodes) nodes.set(id, state);
  if (selected && anatomy.territories.has(selected.place)) {
    const mark = regions.get(selected.place);
    regions.set(selected.place, { tone: 'active', words: `${mark?.words ?? planWords.onTheWay}, chosen` });
  }
  return {
    regions,
    nodes,
    signs: found.signs,
    routes: routesOf(plan, selected),
    pebbles: pebblesOf(steps, selected, faults),
  };
}

/** True when the planner’s own course is among the steps. */
export const hasDrainage = (steps: readonly TableStep[]): boolean => steps.some((step) => !step.told);

/** The marks on paper: only what is given, so no ways out of a drainage that is not done. */
export function paperMarks(
  findings: readonly PlacedFinding[],
  plan: DrainagePlan,
  steps: readonly TableStep[],
): PlanMarks {
  const course = hasDrainage(steps) ? plan : { ...plan, exits: [], waiting: [] };
  return planMarks(findings, course, steps, undefined, new Set());
}

function routesOf(plan: DrainagePlan, selected: Step | undefined): RouteMark[] {
  const ways = plan.exits.map((exit, i): RouteMark => ({
    key: planWords.exit(exit.to),
    path: exit.path,
    tone: i === 0 ? 'moss' : 'river',
  }));
  if (!selected || selected.toward === null) return ways;
  return [
    ...ways,
    { key: 'chosen', path: [selected.place, ...selected.via, selected.toward], tone: 'plum', isActive: true },
  ];
}

/** The number of the first step at each place; the chosen step always shows. */
function pebblesOf(steps: readonly Step[], selected: Step | undefined, faults: ReadonlySet<string>): PebbleMark[] {
  const taken = new Set<PlaceId>();
  const pebbles: PebbleMark[] = [];
  steps.forEach((step, index) => {
    const isSelected = step.id === selected?.id;
    const rides = step.kind === 'drain' || step.kind === 'prepare' || step.kind === 'clear';
    if (!isSelected && (!rides || taken.has(step.place) || selected?.place === step.place)) return;
    if (isSelected && !anatomy.territories.has(step.place) && !anatomy.basins.has(step.place)) return;
    taken.add(step.place);
    pebbles.push({
      key: step.id,
      place: step.place,
      number: index + 1,
      kind: step.kind,
      isSelected,
      ...(faults.has(step.id) ? { state: 'fault' } : {}),
    });
  });
  return pebbles.sort((a, b) => Number(a.isSelected ?? false) - Number(b.isSelected ?? false));
}
