import type { Minutes } from '../quantities';
import type { ProtocolId, TechniqueId } from '../ids';
import type { HandState, Position, TablePlace } from '../sequencing/block';
import { repetitionSeconds, stepOverheadSeconds, type StoneWish, type Technique, type Paced } from './technique';

/** Kinds of work on the face, with a blend of their own for it. */
export const facialModalities: ReadonlySet<string> = new Set([
  'facial-massage',
  'facial-intraoral',
  'facial-roller',
  'facial-scraping-tool',
]);

/** Kinds of work that take stones. */
export const stoneModalities: ReadonlySet<string> = new Set(['hot-stone', 'cold-stone']);

/** `each`: one side after the other; `sound` and `affected` come from the client's case. */
export const stepSides = ['both', 'each', 'left', 'right', 'sound', 'affected'] as const;
export type StepSide = (typeof stepSides)[number];

export interface ProtocolStep {
  readonly technique: TechniqueId;
  /** Names of territories and node groups, without their side. */
  readonly regions: readonly string[];
  readonly side: StepSide;
  /** The technique's usual ones when not said. */
  readonly repetitions?: number | undefined;
  /** Always shown with the step. */
  readonly note?: string | undefined;
  /** Why at this point of the order. */
  readonly why?: string | undefined;
  /** Counted drops: what for, and from how many to how many. */
  readonly layer?: StepLayer | undefined;
  /** Where they differ from those of the technique. */
  readonly stones?: StoneWish | undefined;
}

/** Drops of one oil: what for, and from how many to how many. */
export interface StepLayer {
  readonly use: string;
  readonly drops: readonly number[];
}

export interface ProtocolBlock {
  readonly id: string;
  readonly position: Position;
  readonly hands: HandState;
  readonly therapist: TablePlace;
  /** Shared by blocks that are the same work on either side. */
  readonly twin?: string | undefined;
  /** Kept when the protocol is given in its short form. */
  readonly isShortForm?: boolean | undefined;
  readonly isOptional?: boolean | undefined;
  /** Blocks of the protocol that have to be over before this one, besides what the rules ask for. */
  readonly after?: readonly string[] | undefined;
  readonly steps: readonly ProtocolStep[];
}

export interface Protocol {
  readonly id: ProtocolId;
  readonly name: string;
  readonly modality: string;
  readonly school: string;
  readonly usualMinutes: Minutes;
  readonly about: string;
  /** `planner`: worked out from the case, so it has no blocks of its own. */
  readonly source: 'steps' | 'planner';
  /** The order of the blocks is the teaching. */
  readonly keepOrder?: boolean | undefined;
  /** Blocks that follow one another directly. */
  readonly pairs?: readonly (readonly string[])[] | undefined;
  readonly blocks: readonly ProtocolBlock[];
}

export interface Library {
  readonly techniques: ReadonlyMap<string, Technique>;
  readonly protocols: ReadonlyMap<string, Protocol>;
}

/** Seconds of a step at so many repetitions. */
export function protocolStepSeconds(
  technique: Paced,
  step: Pick<ProtocolStep, 'regions' | 'side'>,
  repetitions: number,
): number {
  const [regions, isEachSide] = [step.regions.length, step.side === 'each'];
  return (
    stepOverheadSeconds(technique, regions, isEachSide) +
    repetitions * repetitionSeconds(technique, regions, isEachSide)
  );
}

/** Seconds of a whole protocol at its usual repetitions, without the changes between its blocks. */
export function usualSeconds(protocol: Protocol, techniques: ReadonlyMap<string, Technique>): number {
  return protocol.blocks
    .flatMap(({ steps }) => steps)
    .reduce((sum, step) => {
      const technique = techniques.get(step.technique);
      return technique
        ? sum + protocolStepSeconds(technique, step, step.repetitions ?? technique.repetitions.usual)
        : sum;
    }, 0);
}
