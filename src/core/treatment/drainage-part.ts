import type { Minutes } from '../quantities';
import { type Anatomy, type PlaceId, sideOf } from '../anatomy/place';
import { expandArea } from '../anatomy/areas';
import type { DrainagePlan } from '../drainage/plan';
import type { Library } from '../library/protocol';
import type { TreatmentBlock } from './block';
import { drainageBlock, drainageMinutes } from './drainage-block';
import type { Choice } from './expand';

/** What a protocol of the planner is about: areas that it is usually for, one side each. */
const fields: Readonly<Record<string, readonly PlaceId[]>> = {
  'leg-drainage': ['leg.left', 'leg.right'],
  'home-one-leg': ['leg.left', 'leg.right'],
  'arm-drainage': ['arm.left', 'arm.right'],
  'breast-chest-after-surgery': ['trunk-upper.left', 'trunk-upper.right'],
};

/** Which of the areas that a visit is about belong to a protocol of the planner; all of them where it is about any. */
function focusOfProtocol(
  anatomy: Anatomy,
  protocol: string,
  focus: readonly PlaceId[],
  affected: 'left' | 'right' | null,
): readonly PlaceId[] {
  const usual = fields[protocol];
  if (!usual) return focus;
  const covered = new Set(usual.flatMap((area) => expandArea(anatomy, area) ?? []));
  const own = focus.filter((id) => expandArea(anatomy, id)?.every((place) => covered.has(place)));
  if (own.length > 0) return own;
  const oneSided = usual.filter((id) => affected === null || sideOf(id) === affected);
  return protocol === 'home-one-leg' ? oneSided.slice(0, 1) : oneSided;
}

/** The planner's part of a treatment. */
export interface DrainagePart {
  readonly choice: string | undefined;
  readonly blocks: readonly TreatmentBlock[];
  /** The course at the visit's minutes; undefined when nothing was asked of the planner. */
  readonly full: DrainagePlan | undefined;
  readonly planOf: (minutes: Minutes) => DrainagePlan;
}

/**
 * Asks the planner for its part, if a protocol of its kind was chosen.
 * @param planFor plans the client's case for a focus and minutes
 */
export function drainagePart(
  anatomy: Anatomy,
  library: Library,
  choices: readonly Choice[],
  input: {
    readonly focus: readonly PlaceId[];
    readonly affected: 'left' | 'right' | null;
    readonly minutes: Minutes;
    readonly planFor: (focus: readonly PlaceId[], minutes: Minutes) => DrainagePlan;
  },
): DrainagePart {
  const planned = choices.find(({ protocol }) => library.protocols.get(protocol)?.source === 'planner');
  const focus = planned ? focusOfProtocol(anatomy, planned.protocol, input.focus, input.affected) : input.focus;
  const planOf = (minutes: Minutes) => input.planFor(focus, minutes);
  if (!planned) return { choice: undefined, blocks: [], full: undefined, planOf };
  const full = planOf(input.minutes);
  if (full.steps.length === 0) return { choice: planned.id, blocks: [], full, planOf };
  const block = drainageBlock(planned.id, planned.protocol, full, drainageMinutes(full, planOf));
  return { choice: planned.id, blocks: [block], full, planOf };
}
