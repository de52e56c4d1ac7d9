import { libraryWords } from './library.words';
import type { Protocol, ProtocolBlock, ProtocolStep } from '../../core/library/protocol';

/** A protocol while it is being changed: steps in one list with the blocks that they stand in, so that they can move. */
export interface DraftStep extends ProtocolStep {
  readonly key: string;
  readonly block: string;
}

export interface Draft {
  readonly head: Omit<Protocol, 'blocks'>;
  readonly blocks: readonly Omit<ProtocolBlock, 'steps'>[];
  readonly steps: readonly DraftStep[];
}

export function toDraft({ blocks, ...head }: Protocol): Draft {
  return {
    head,
    blocks: blocks.map(({ steps: _, ...block }) => block),
    steps: blocks.flatMap(({ id, steps }) => steps.map((step, i) => ({ ...step, key: `${id} ${i}`, block: id }))),
  };
}

export function fromDraft({ head, blocks, steps }: Draft): Protocol {
  return {
    ...head,
    blocks: blocks.map((block) => ({
      ...block,
      steps: steps.filter((step) => step.block === block.id).map(({ key: _, block: __, ...step }) => step),
    })),
  };
}

/** Steps as they stand on the page: block after block. */
export const inOrder = ({ blocks, steps }: Draft): readonly DraftStep[] =>
  blocks.flatMap(({ id }) => steps.filter(({ block }) => block === id));

/** Moves a step before or behind another one, into that one's block. */
export function moveTo(draft: Draft, key: string, overKey: string): Draft {
  const ordered = inOrder(draft);
  const from = ordered.findIndex((step) => step.key === key);
  const to = ordered.findIndex((step) => step.key === overKey);
  const [step, over] = [ordered[from], ordered[to]];
  if (!step || !over || step === over) return draft;
  const others = ordered.filter((one) => one !== step);
  others.splice(to, 0, { ...step, block: over.block });
  return { ...draft, steps: others };
}

/** One place up or down; over the edge of a block it goes into the next one. */
export function moveBy(draft: Draft, key: string, by: -1 | 1): Draft {
  const ordered = inOrder(draft);
  const at = ordered.findIndex((step) => step.key === key);
  const [step, neighbour] = [ordered[at], ordered[at + by]];
  if (!step) return draft;
  if (neighbour && neighbour.block === step.block) return moveTo(draft, key, neighbour.key);
  const blockAt = draft.blocks.findIndex(({ id }) => id === step.block);
  const next = draft.blocks[blockAt + by];
  if (!next) return draft;
  const others = ordered.filter((one) => one !== step);
  const moved = { ...step, block: next.id };
  return { ...draft, steps: by < 0 ? [...others, moved] : [moved, ...others] };
}

export const changeStep = (draft: Draft, key: string, change: Partial<ProtocolStep>): Draft => ({
  ...draft,
  steps: draft.steps.map((step) => (step.key === key ? { ...step, ...change } : step)),
});

export const removeStep = (draft: Draft, key: string): Draft => ({
  ...draft,
  steps: draft.steps.filter((step) => step.key !== key),
});

/** Adds a step at the end of a block. */
export function addStep(draft: Draft, block: string, step: ProtocolStep): Draft {
  let number = draft.steps.length + 1;
  while (draft.steps.some(({ key }) => key === `new ${number}`)) number += 1;
  return { ...draft, steps: [...draft.steps, { ...step, key: libraryWords.new(number), block }] };
}

export const changeBlock = (draft: Draft, id: string, change: Partial<Omit<ProtocolBlock, 'steps' | 'id'>>): Draft => ({
  ...draft,
  blocks: draft.blocks.map((block) => (block.id === id ? { ...block, ...change } : block)),
});

/** Adds a block with the setting of the last one. */
export function addBlock(draft: Draft): Draft {
  let number = draft.blocks.length + 1;
  while (draft.blocks.some(({ id }) => id === `part-${number}`)) number += 1;
  const { position = 'supine', hands = 'dry', therapist = 'head' } = draft.blocks.at(-1) ?? {};
  return { ...draft, blocks: [...draft.blocks, { id: `part-${number}`, position, hands, therapist }] };
}

export const removeBlock = (draft: Draft, id: string): Draft => ({
  ...draft,
  blocks: draft.blocks.filter((block) => block.id !== id),
  steps: draft.steps.filter(({ block }) => block !== id),
});

/** Every step of a part so often; as its technique has it without a number. */
export const setEachTimes = (draft: Draft, block: string, repetitions: number | undefined): Draft => ({
  ...draft,
  steps: draft.steps.map((step) => {
    if (step.block !== block) return step;
    const { repetitions: _, ...others } = step;
    return repetitions === undefined ? others : { ...others, repetitions };
  }),
});

type LeftOrRight = 'left' | 'right';
const otherOf: Readonly<Record<LeftOrRight, LeftOrRight>> = { left: 'right', right: 'left' };
const isOneSided = (side: string): side is LeftOrRight => side === 'left' || side === 'right';

/** The one side that a part works on; undefined where it works on both, or on each in turn. */
export function sideOfPart({ steps }: Draft, block: string): LeftOrRight | undefined {
  const sides = new Set(steps.filter((step) => step.block === block).map(({ side }) => side));
  const [only] = sides;
  return sides.size === 1 && only !== undefined && isOneSided(only) ? only : undefined;
}

/** Whether the same work on the other side stands in the protocol already. */
export const hasOtherSide = ({ blocks }: Draft, id: string): boolean => {
  const twin = blocks.find((block) => block.id === id)?.twin;
  return twin !== undefined && blocks.some((block) => block.twin === twin && block.id !== id);
};

/** The same part for the other side, directly behind it; both are named as twins, and stay or go together. */
export function copyForOtherSide(draft: Draft, id: string): Draft {
  const side = sideOfPart(draft, id);
  const at = draft.blocks.findIndex((block) => block.id === id);
  const block = draft.blocks[at];
  if (!side || !block || hasOtherSide(draft, id)) return draft;
  const other = otherOf[side];
  const base = id.endsWith(`-${side}`) ? id.slice(0, -side.length - 1) : id;
  const twin = block.twin ?? base;
  const taken = new Set(draft.blocks.map((one) => one.id));
  const copyId = freeName(`${base}-${other}`, taken);
  const { therapist } = block;
  const copy = { ...block, id: copyId, twin, therapist: isOneSided(therapist) ? otherOf[therapist] : therapist };
  const blocks = draft.blocks.flatMap((one) => (one === block ? [{ ...one, twin }, copy] : [one]));
  const steps = draft.steps
    .filter((step) => step.block === id)
    .map((step, i): DraftStep => ({ ...step, side: other, block: copyId, key: libraryWords.copied(copyId, i) }));
  return { ...draft, blocks, steps: [...draft.steps, ...steps] };
}

function freeName(wish: string, taken: ReadonlySet<string>): string {
  let number = 2;
  while (taken.has(number === 2 ? wish : `${wish}-${number - 1}`)) number += 1;
  return number === 2 ? wish : `${wish}-${number - 1}`;
}
