import type { Seconds } from '../quantities';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { givenOf } from './given';
import {
  askedBefore,
  asksForSide,
  isTimeToAsk,
  markedPlace,
  longerStay,
  marksInWords,
  marksOf,
  markWords,
  withoutWork,
  withoutTechnique,
} from './marks';
import { markKinds } from './mark-kinds';
import { replay } from './progress';
import { noChange, type TableEvent } from './table-event';
import { stepsAfter } from './refit';
import type { TableStep } from './table-step';

const begin = Date.parse('2026-11-25T14:00:00.000Z');
const at = (seconds: Seconds) => new Date(begin + seconds * 1000).toISOString();
const event = (kind: TableEvent['kind'], stepId: string | null, seconds: Seconds, extra: Partial<TableEvent> = {}) => ({
  ...{ id: `${kind}-${stepId}-${seconds}`, kind, stepId, at: at(seconds), planVersion: 1 },
  ...extra,
});
const step = (
  id: string,
  title: string | null,
  place = 'calf-upper.left',
  kind: TableStep['kind'] = 'drain',
): TableStep => ({
  ...{ id, kind, place, toward: null, via: [], pressure: 'light', repetitions: 5, placements: 1, seconds: 20 },
  ...{ rules: [], why: '', cautions: [] },
  ...(title === null
    ? {}
    : { told: { title, how: '', cue: '', note: '', block: 'b', count: 'repetitions' as const, places: [place] } }),
});
const steps = [step('a', 'Press'), step('b', 'Glide'), step('c', 'Press'), step('d', 'Rest'), step('e', 'Press')];

describe('marks', () => {
  it('have a key each, and stand in the order in which they were made, once a step', () => {
    const keyed = markKinds.filter((kind) => markWords[kind].key !== '');
    expect(new Set(keyed.map((kind) => markWords[kind].key)).size).toBe(keyed.length);
    const events = [
      event('start', 'a', 0),
      event('mark', 'a', 5, { mark: 'tighter' }),
      event('mark', 'a', 6, { mark: 'tighter' }),
      event('mark', 'a', 7, { mark: 'redness' }),
    ];
    expect(marksOf(events).map(({ kind }) => kind)).toEqual(['tighter', 'redness']);
    expect(replay(events)).toEqual(replay(events.slice(0, 1)));
    const words = marksInWords(
      marksOf(events),
      () => ({ place: 'left calf', title: 'Press' }),
      () => '14:00',
    );
    expect(words).toEqual(['Tighter at left calf (press, 14:00).', 'Redness at left calf (press, 14:00).']);
  });

  it('asks for the side in a step on both, and keeps what was said, when it was said', () => {
    const both = { ...step('a', 'Press'), told: { ...step('a', 'Press').told, places: ['cheek.left', 'cheek.right'] } };
    const one = step('b', 'Press', 'cheek.right');
    expect([asksForSide('tighter', both as TableStep), asksForSide('tighter', one)]).toEqual([true, false]);
    expect([asksForSide('pain', both as TableStep), asksForSide('asked', both as TableStep)]).toEqual([false, false]);
    const press = event('mark', 'a', 5, { mark: 'tighter' });
    const labels = { place: (id: string) => id, region: (name: string) => name };
    const where = (...events: readonly TableEvent[]) =>
      marksOf(events).map((mark) => markedPlace(mark, both as TableStep, labels));
    expect(where(press)).toEqual(['cheek, side not said']);
    expect(where(press, event('mark', 'a', 7, { mark: 'tighter', side: 'right' }))).toEqual(['right cheek']);
    const left = event('mark', 'a', 9, { mark: 'tighter', side: 'left' });
    expect(where(press, event('mark', 'a', 7, { mark: 'tighter', side: 'right' }), left)).toEqual([
      'cheek, both sides',
    ]);
    expect(marksOf([press, left])).toMatchObject([{ at: press.at, side: 'left' }]);
  });

  it('pain takes the technique out of all that is still to come, and nothing else', () => {
    const { change, out } = withoutTechnique(steps, 0, noChange);
    expect(out.map(({ id }) => id)).toEqual(['c', 'e']);
    expect(stepsAfter(steps, change).map(({ id }) => id)).toEqual(['a', 'b', 'd']);
    const drainage = [step('a', null), step('b', null, 'calf-lower.left'), step('c', null)];
    expect(withoutTechnique(drainage, 0, noChange).out.map(({ id }) => id)).toEqual(['c']);
  });

  it('what is asked again stands until it is answered, and a no takes that work out', () => {
    const of = (modality: string, one: TableStep) => ({ ...one, told: one.told && { ...one.told, modality } });
    const mouth = { ...of('gloved', step('a', 'Press')), asksAgain: ['Any sore in the mouth?'] };
    expect(askedBefore(mouth, [])).toEqual(['Any sore in the mouth?']);
    expect(askedBefore(step('b', 'Press'), [])).toEqual([]);
    for (const kind of ['asked-again', 'declined'] as const)
      expect(askedBefore(mouth, [{ kind, stepId: 'a', at: at(1), side: null }])).toEqual([]);
    expect(askedBefore(mouth, [{ kind: 'asked', stepId: 'a', at: at(1), side: null }])).toHaveLength(1);
    expect(
      withoutWork([mouth, of('gloved', step('b', 'Glide')), of('face', step('x', 'Glide'))], 0, noChange).change
        .leftOut,
    ).toEqual(['b']);
  });

  it('pain never brings back what was left out before', () => {
    fc.assert(
      fc.property(fc.subarray(['b', 'c', 'd', 'e']), fc.integer({ min: 0, max: 4 }), (leftOut, index) => {
        const { change } = withoutTechnique(steps, index, { ...noChange, leftOut });
        for (const id of leftOut) expect(change.leftOut).toContain(id);
        expect(change.leftOut).not.toContain(steps[index]?.id === 'a' ? 'a' : '');
      }),
    );
  });

  it('a longer stay is half as long again, as often as it is asked for', () => {
    const [first] = steps;
    if (!first) throw new Error('no step');
    const once = longerStay(first, 5, noChange);
    expect(once.repetitions).toEqual({ a: 8 });
    const [longer] = stepsAfter(steps, once);
    expect(longer && longerStay(longer, 5, once).repetitions).toEqual({ a: 11 });
  });

  it('the pressure is asked about early, once, and not while the client breathes', () => {
    const here = steps[0];
    expect(isTimeToAsk(here, 60, [])).toBe(false);
    expect(isTimeToAsk(here, 180, [])).toBe(true);
    expect(isTimeToAsk(step('x', null, 'abdomen-upper', 'breathe'), 180, [])).toBe(false);
    expect(isTimeToAsk(here, 700, [])).toBe(false);
    for (const kind of ['asked', 'lighter', 'deeper'] as const)
      expect(isTimeToAsk(here, 180, [{ kind, stepId: 'a', at: at(100), side: null }])).toBe(false);
  });
});

describe('what was given', () => {
  it('is counted beside the plan: done, missed, other repetitions, time', () => {
    const events = [
      event('start', 'a', 0),
      event('refit', 'a', 4, { change: { ...noChange, repetitions: { a: 8 }, leftOut: ['e'] } }),
      event('end', 'a', 30),
      event('start', 'b', 30),
      event('skip', 'b', 35),
      event('start', 'c', 35),
      event('end', 'c', 60),
      event('finish', null, 60),
    ];
    const input = givenOf(steps, replay(events), events);
    expect(input).toMatchObject({ planned: 5, done: 2, seconds: 60, plannedSeconds: 100 });
    expect(input?.missed.map(({ id }) => id)).toEqual(['b', 'd', 'e']);
    expect(input?.changed).toMatchObject([{ step: { id: 'a' }, repetitions: 8 }]);
    expect(givenOf(steps, replay([]), [])).toBeNull();
  });
});
