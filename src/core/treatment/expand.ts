import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Library, Protocol, ProtocolBlock, ProtocolStep } from '../library/protocol';
import { hasTrait, type Technique } from '../library/technique';
import type { BlockSide } from '../sequencing/block';
import type { TreatmentBlock, TreatmentStep } from './block';

/** A protocol, or some of its blocks, chosen for a visit. */
export interface Choice {
  /** Names this choice within the treatment. */
  readonly id: string;
  readonly protocol: string;
  /** Only these blocks; all when absent. */
  readonly blocks?: readonly string[] | undefined;
}

/** Work of the house's own whose blocks may be given in any order that the rules allow, unless it says otherwise. */
const freeModalities: ReadonlySet<string> = new Set(['body-massage', 'aromatherapy', 'dry-brush', 'hot-stone']);

/** Turning and draping are scheduled where they fall, so a protocol's own steps for them are not. */
const changeTechniques: ReadonlySet<string> = new Set(['turn-over', 'drape-change']);

const opposite = { left: 'right', right: 'left' } as const;

/**
 * The blocks of what was chosen, in the order of the protocols.
 * @param affected the side that was operated on, or is swollen; without one, both sides are taken one after the other
 * @param bothSides both hands alike, where a technique does not ask for both of them on one side
 */
export function expandChoices(
  anatomy: Anatomy,
  library: Library,
  choices: readonly Choice[],
  affected: 'left' | 'right' | null,
  bothSides = false,
): readonly TreatmentBlock[] {
  return choices.flatMap((choice) => {
    const protocol = library.protocols.get(choice.protocol);
    if (!protocol) return [];
    return protocol.blocks
      .filter(({ id }) => choice.blocks?.includes(id) ?? true)
      .map((block) => expandBlock(anatomy, library, choice.id, protocol, block, affected, bothSides))
      .filter(({ steps }) => steps.length > 0);
  });
}

function expandBlock(
  anatomy: Anatomy,
  library: Library,
  choice: string,
  protocol: Protocol,
  block: ProtocolBlock,
  affected: 'left' | 'right' | null,
  bothSides: boolean,
): TreatmentBlock {
  const id = `${choice}/${block.id}`;
  const steps = block.steps.flatMap((step, i): TreatmentStep[] => {
    const technique = library.techniques.get(step.technique);
    if (!technique || changeTechniques.has(technique.id)) return [];
    return [expandStep(anatomy, `${id}/${i + 1}`, technique, step, affected, bothSides)];
  });
  return {
    id,
    choice,
    protocol: protocol.id,
    name: block.id.replaceAll('-', ' '),
    modality: protocol.modality,
    school: protocol.school,
    position: block.position,
    hands: block.hands,
    therapist: block.therapist,
    side: sideOfSteps(steps),
    twin: block.twin,
    isShortForm: block.isShortForm ?? false,
    isOptional: block.isOptional ?? false,
    isOrdered: protocol.keepOrder ?? !freeModalities.has(protocol.modality),
    follows: followed(protocol, block.id, choice),
    after: (block.after ?? []).map((earlier) => `${choice}/${earlier}`),
    steps,
  };
}

function followed({ pairs = [] }: Protocol, block: string, choice: string): string | undefined {
  const first = pairs.find(([, then]) => then === block)?.[0];
  return first === undefined ? undefined : `${choice}/${first}`;
}

function expandStep(
  anatomy: Anatomy,
  id: string,
  technique: Technique,
  step: ProtocolStep,
  affected: 'left' | 'right' | null,
  bothSides: boolean,
): TreatmentStep {
  const asked = sideFor(step.side, affected);
  const side = bothSides && asked === 'each' && !hasTrait(technique, 'both-hands-one-side') ? 'both' : asked;
  return {
    id,
    technique,
    regions: step.regions,
    side,
    places: step.regions.flatMap((region) => placesFor(anatomy, region, side)),
    repetitions: step.repetitions ?? technique.repetitions.usual,
    pressure: technique.pressure,
    note: step.note ?? '',
    why: step.why,
    layer: step.layer,
    stones: step.stones,
    cautions: [],
  };
}

function sideFor(side: ProtocolStep['side'], affected: 'left' | 'right' | null): TreatmentStep['side'] {
  if (side === 'affected') return affected ?? 'each';
  if (side === 'sound') return affected === null ? 'each' : opposite[affected];
  return side;
}

/** Places of a region on one side or both; a region on the middle line is one place. */
export function placesFor(anatomy: Anatomy, region: string, side: TreatmentStep['side']): readonly PlaceId[] {
  const sides = side === 'left' || side === 'right' ? [side, 'mid'] : ['left', 'right', 'mid'];
  return sides.map((one) => `${region}.${one}`).filter((id) => anatomy.territories.has(id) || anatomy.basins.has(id));
}

export function sideOfSteps(steps: readonly TreatmentStep[]): BlockSide {
  const sides = new Set(steps.map(({ side }) => side));
  if (sides.size === 1 && sides.has('left')) return 'left';
  return sides.size === 1 && sides.has('right') ? 'right' : 'both';
}
