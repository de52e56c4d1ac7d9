import type { TechniqueId } from '../../core/ids';
import { describe, expect, it } from 'vitest';
import type { Protocol } from '../../core/library/protocol';
import {
  addBlock,
  addStep,
  changeBlock,
  changeStep,
  fromDraft,
  inOrder,
  moveBy,
  moveTo,
  removeBlock,
  removeStep,
  toDraft,
} from './protocol-edits';

const step = (technique: TechniqueId) => ({ technique, regions: ['cheek'], side: 'both' as const });
const protocol: Protocol = {
  id: 'p',
  name: 'P',
  modality: 'facial-massage',
  school: 'outlet-first',
  usualMinutes: 10,
  about: '',
  source: 'steps',
  blocks: [
    { id: 'one', position: 'supine', hands: 'dry', therapist: 'head', steps: [step('a'), step('b')] },
    { id: 'two', position: 'supine', hands: 'oiled', therapist: 'left', steps: [step('c'), step('d')] },
  ],
};
const draft = toDraft(protocol);
const shown = (one: typeof draft) => inOrder(one).map(({ block, technique }) => `${block}:${technique}`);

describe('changing a protocol', () => {
  it('takes it apart and puts it together as it was', () => {
    expect(fromDraft(draft)).toEqual(protocol);
  });

  it('moves a step up and down, also into the next block', () => {
    expect(shown(moveBy(draft, 'one 0', 1))).toEqual(['one:b', 'one:a', 'two:c', 'two:d']);
    expect(shown(moveBy(draft, 'one 1', 1))).toEqual(['one:a', 'two:b', 'two:c', 'two:d']);
    expect(shown(moveBy(draft, 'two 0', -1))).toEqual(['one:a', 'one:b', 'one:c', 'two:d']);
    expect(moveBy(draft, 'one 0', -1)).toBe(draft);
    expect(moveBy(draft, 'two 1', 1)).toBe(draft);
  });

  it('drops a step where it is dragged to', () => {
    expect(shown(moveTo(draft, 'one 0', 'two 1'))).toEqual(['one:b', 'two:c', 'two:d', 'two:a']);
    expect(shown(moveTo(draft, 'two 1', 'one 0'))).toEqual(['one:d', 'one:a', 'one:b', 'two:c']);
    expect(moveTo(draft, 'one 0', 'one 0')).toBe(draft);
  });

  it('adds, changes and removes steps and blocks', () => {
    const more = addStep(addBlock(draft), 'part-3', step('e'));
    expect(shown(more).at(-1)).toBe('part-3:e');
    expect(fromDraft(more).blocks[2]).toMatchObject({ id: 'part-3', hands: 'oiled', therapist: 'left' });
    expect(fromDraft(changeStep(draft, 'one 0', { repetitions: 9 })).blocks[0]?.steps[0]?.repetitions).toBe(9);
    expect(fromDraft(changeBlock(draft, 'two', { hands: 'stone' })).blocks[1]?.hands).toBe('stone');
    expect(shown(removeStep(draft, 'one 0'))).toEqual(['one:b', 'two:c', 'two:d']);
    expect(shown(removeBlock(draft, 'one'))).toEqual(['two:c', 'two:d']);
  });
});
