import type { TechniqueId } from '../ids';
import type { PlaceId } from '../anatomy/place';
import type { JudgementReason } from '../judgement/reasons';
import type { TreatmentBlock, TreatmentStep } from './block';

/** Something that was chosen and is not given, or not as the protocol says; data, put into words where it is shown. */
export interface LeftOut {
  readonly choice: string;
  readonly protocol: string;
  /** Absent: the whole kind of work. */
  readonly block: string | null;
  readonly blockName: string;
  readonly modality: string;
  /** Absent: the whole block. */
  readonly technique: TechniqueId | null;
  /** Where it is not given; all of its places when it is out altogether. */
  readonly places: readonly PlaceId[];
  /** True where the step is still given elsewhere. */
  readonly isPart: boolean;
  readonly reason: JudgementReason;
  /** The technique that is done in its place. */
  readonly instead: string | null;
}

export const blockOut = (block: TreatmentBlock, reason: JudgementReason): LeftOut => ({
  choice: block.choice,
  protocol: block.protocol,
  block: block.id,
  blockName: block.name,
  modality: block.modality,
  technique: null,
  places: [...new Set(block.steps.flatMap(({ places }) => places))],
  isPart: false,
  reason,
  instead: null,
});

export const stepOut = (
  block: TreatmentBlock,
  step: Pick<TreatmentStep, 'technique'>,
  places: readonly PlaceId[],
  reason: JudgementReason,
  input: { readonly isPart?: boolean; readonly instead?: string | null } = {},
): LeftOut => ({
  ...blockOut(block, reason),
  technique: step.technique.id,
  places,
  isPart: input.isPart ?? false,
  instead: input.instead ?? null,
});
