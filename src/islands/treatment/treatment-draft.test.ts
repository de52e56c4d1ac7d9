import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blocksInHand, draftAfter, firstDraft, moved, type TreatmentAction, type Wish } from './treatment-draft';

const wish: Wish = {
  choices: [{ id: 'c1', protocol: 'stones-back', blocks: ['open', 'back.left'] }],
  minutes: 60,
  isShort: false,
  bothSides: true,
  fill: false,
  isFree: false,
} as Wish;
const after = (...actions: readonly TreatmentAction[]) => actions.reduce(draftAfter, firstDraft(wish));

describe('a treatment while it is put together', () => {
  it('finds the best order anew when what is done changes', () => {
    const { wish: now } = after({ kind: 'order', ids: ['b', 'a'] }, { kind: 'set', part: { minutes: 90 } });
    expect(now).toMatchObject({ minutes: 90 });
    expect(now.order).toBeUndefined();
  });

  it('keeps the order of the hand when only a count, a stone or an oil changes', () => {
    const ids = ['b', 'a'];
    for (const action of [
      { kind: 'times', block: 'a', number: 3 },
      { kind: 'stones', stones: { s1: { size: 'palm', count: 2, keep: false } } },
      { kind: 'layers', layers: { s1: { oil: 'lavender', drops: 2 } } },
    ] as const) {
      const draft = after({ kind: 'order', ids }, action);
      expect(draft.wish.order, action.kind).toEqual(ids);
      expect(draft.ahead, action.kind).toEqual(ids);
    }
  });

  it('gives a count back to what is taught, and leaves the counts of others', () => {
    const { times } = after(
      { kind: 'times', block: 'a', number: 3 },
      { kind: 'times', block: 'b', number: 5 },
      { kind: 'times', block: 'a', number: undefined },
    ).wish;
    expect(times).toEqual({ b: 5 });
  });

  it('gives stones and oils of one step back to what the technique asks for', () => {
    const stone = { size: 'palm', count: 2, keep: false } as const;
    const layer = { oil: 'lavender', drops: 2 } as const;
    expect(
      after({ kind: 'stones', stones: { s1: stone, s2: stone } }, { kind: 'usual-stones', step: 's1' }).wish.stones,
    ).toEqual({ s2: stone });
    expect(
      after({ kind: 'layers', layers: { s1: layer, s2: layer } }, { kind: 'usual-layer', step: 's2' }).wish.layers,
    ).toEqual({ s1: layer });
  });

  it('takes a part in behind those of its protocol', () => {
    const [choice] = after({ kind: 'add-part', choice: 'c1', part: 'back.right' }).wish.choices;
    expect(choice?.blocks).toEqual(['open', 'back.left', 'back.right']);
  });

  it('adds nothing to a protocol that is done whole', () => {
    const whole = { ...wish, choices: [{ id: 'c1', protocol: 'stones-back' }] } as Wish;
    const { wish: now } = draftAfter(firstDraft(whole), { kind: 'add-part', choice: 'c1', part: 'back.right' });
    expect(now.choices).toEqual(whole.choices);
  });

  it('shows the hand’s order until the plan has it', () => {
    const draft = after({ kind: 'order', ids: ['b', 'a'] });
    expect(draft.ahead).toEqual(['b', 'a']);
    const planned = draftAfter(draft, { kind: 'planned' });
    expect(planned.ahead).toBeUndefined();
    expect(planned.wish).toBe(draft.wish);
    expect(draftAfter(planned, { kind: 'planned' })).toBe(planned);
  });
});

const actions = fc.oneof(
  fc.integer({ min: 10, max: 240 }).map((minutes): TreatmentAction => ({ kind: 'set', part: { minutes } })),
  fc.boolean().map((isFree): TreatmentAction => ({ kind: 'free', isFree })),
  fc
    .tuple(fc.constantFrom('a', 'b', 'c'), fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }))
    .map(([block, number]): TreatmentAction => ({ kind: 'times', block, number })),
  fc.shuffledSubarray(['a', 'b', 'c'], { minLength: 3 }).map((ids): TreatmentAction => ({ kind: 'order', ids })),
  fc.constant<TreatmentAction>({ kind: 'best-order' }),
);

describe('undoing', () => {
  it('goes back step by step, whatever was done', () => {
    fc.assert(
      fc.property(fc.array(actions, { maxLength: 20 }), (all) => {
        const wishes = [wish];
        let draft = firstDraft(wish);
        for (const action of all) wishes.push((draft = draftAfter(draft, action)).wish);
        for (const before of wishes.toReversed().slice(1)) {
          draft = draftAfter(draft, { kind: 'undo' });
          expect(draft.wish).toEqual(before);
        }
        expect(draft.past).toEqual([]);
      }),
    );
  });

  it('changes nothing where nothing was done', () => {
    const draft = firstDraft(wish);
    expect(draftAfter(draft, { kind: 'undo' })).toBe(draft);
  });

  it('remembers the last thirty', () => {
    const many = Array.from({ length: 50 }, (_, i): TreatmentAction => ({ kind: 'set', part: { minutes: 10 + i } }));
    expect(after(...many).past).toHaveLength(30);
    expect(after(...many).past.at(-1)?.minutes).toBe(58);
  });
});

describe('moving a part', () => {
  it('puts it to its place and leaves the order of the others', () => {
    expect(moved(['a', 'b', 'c', 'd'], 0, 2)).toEqual(['b', 'c', 'a', 'd']);
    expect(moved(['a', 'b', 'c', 'd'], 3, 0)).toEqual(['d', 'a', 'b', 'c']);
  });

  it.each([
    [1, 1],
    [0, -1],
    [2, 4],
    [9, 0],
  ])('from %i to %i moves nothing', (from, to) => expect(moved(['a', 'b', 'c', 'd'], from, to)).toBeUndefined());

  it('is seen at once', () => {
    const blocks = ['a', 'b'].map((id) => ({ id })) as unknown as Parameters<typeof blocksInHand>[1];
    expect(blocksInHand(after({ kind: 'order', ids: ['b', 'a'] }), blocks).map(({ id }) => id)).toEqual(['b', 'a']);
    expect(blocksInHand(firstDraft(wish), blocks)).toBe(blocks);
  });
});
