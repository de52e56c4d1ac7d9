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
