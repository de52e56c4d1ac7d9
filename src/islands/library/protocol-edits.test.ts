import type { TechniqueId } from '../../core/ids';
import { describe, expect, it } from 'vitest';
import type { Protocol } from '../../core/library/protocol';
import {
  addBlock,
  addStep,
  copyForOtherSide,
  hasOtherSide,
  setEachTimes,
  sideOfPart,
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

describe('a part for one side', () => {
  const leftSide: Protocol = {
    ...protocol,
    blocks: [
      {
        ...{ id: 'leg-left', position: 'prone', hands: 'oiled', therapist: 'left' },
        steps: [
          { ...step('a'), side: 'left', repetitions: 4, note: 'slowly' },
          { ...step('b'), side: 'left' },
        ],
      },
      { id: 'rest', position: 'supine', hands: 'dry', therapist: 'head', steps: [step('c')] },
    ],
  };

  it('is copied for the other one, directly behind it, as its twin', () => {
    const copied = fromDraft(copyForOtherSide(toDraft(leftSide), 'leg-left'));
    expect(copied.blocks.map(({ id, twin, therapist }) => [id, twin, therapist])).toEqual([
      ['leg-left', 'leg', 'left'],
      ['leg-right', 'leg', 'right'],
      ['rest', undefined, 'head'],
    ]);
    expect(copied.blocks[1]?.steps).toEqual(leftSide.blocks[0]?.steps.map((one) => ({ ...one, side: 'right' })));
  });

  it('is copied once only, and not where it works on both sides', () => {
    const once = copyForOtherSide(toDraft(leftSide), 'leg-left');
    expect(hasOtherSide(once, 'leg-left')).toBe(true);
    expect(copyForOtherSide(once, 'leg-left')).toBe(once);
    const both = toDraft(leftSide);
    expect([sideOfPart(both, 'leg-left'), sideOfPart(both, 'rest')]).toEqual(['left', undefined]);
    expect(copyForOtherSide(both, 'rest')).toBe(both);
  });

  it('gives each of its steps so often, or as the technique has it again', () => {
    const three = setEachTimes(toDraft(leftSide), 'leg-left', 3);
    expect(fromDraft(three).blocks.map(({ steps }) => steps.map(({ repetitions }) => repetitions))).toEqual([
      [3, 3],
      [undefined],
    ]);
    expect(fromDraft(setEachTimes(three, 'leg-left', undefined)).blocks[0]?.steps[0]).toEqual({
      ...step('a'),
      side: 'left',
      note: 'slowly',
    });
  });
});
