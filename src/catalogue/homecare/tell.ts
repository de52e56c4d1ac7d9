import { nameOf, sideOf } from '../../core/anatomy/place';
import type { HomeStep } from '../../core/homecare/sheet';
import type { HomeRoute } from './home-places';
import type { ActWords, HomeWords } from './words';
import { capitalise } from '../../core/wording/capitalise';

/** A step in the words of a language. */
export interface ToldHomeStep {
  readonly title: string;
  readonly how: string;
  /** Which way; empty where `how` says it all. */
  readonly brief: string;
  readonly count: string;
}

/** Fills the table of words in for one step. @param route which way its sheet leads @throws Error when the table has no words for a technique */
export function tellHomeStep(words: HomeWords, step: HomeStep, route?: HomeRoute): ToldHomeStep {
  const said = actWords(words, step);
  const place = placesInWords(words, step);
  const toward = towardInWords(words, step);
  const fill = (text: string) => text.replace('{place}', place).replace('{toward}', toward);
  return {
    title: capitalise(fill(said.title)),
    how: atPlace(words, step, route, capitalise(fill(said.how))) ?? capitalise(fill(said.how)),
    brief: fill(said.brief ?? ''),
    count: countInWords(words, step),
  };
}

/** Of what the planner leads: which hand, how, and why there; undefined where the language or the place has no such words. */
function atPlace(
  words: HomeWords,
  { act, places, toward }: HomeStep,
  route: HomeRoute | undefined,
  anyWay: string,
): string | undefined {
  if (!placed.has(act)) return undefined;
  const name = nameOf(places[0] ?? '');
  const place = words.places?.get(name);
  // Words for the chest lead to an armpit or down the side: where it is led up to the collarbone, only the hand is told.
  const isLedUp = name === 'chest-upper' && toward !== null && upward.has(nameOf(toward));
  return place && `${place.hand} ${isLedUp ? anyWay : ((route && place.byRoute?.[route]) ?? place.how)}`;
}

const upward: ReadonlySet<string> = new Set(['neck-front', 'neck-side', 'shoulder-top', 'terminus']);

const placed: ReadonlySet<string> = new Set(['clear', 'prepare', 'drain', 'close']);

function actWords(words: HomeWords, { act }: HomeStep): ActWords {
  if (!act.startsWith('technique:')) return words.acts[act as keyof HomeWords['acts']];
  const id = act.slice('technique:'.length);
  const said = Object.entries(words.techniques).find(([key]) => key === id)?.[1];
  if (!said) throw new Error(`no words for ${id} in ${words.language}`);
  return said;
}

/** `left armpit nodes`; a place on both sides is named once: `cheek, both sides`. */
function placesInWords(words: HomeWords, { places }: HomeStep): string {
  const names = [...new Set(places.map(nameOf))];
  return names
    .map((name) => {
      const own = places.filter((place) => nameOf(place) === name);
      const [first] = own;
      if (first === undefined) return '';
      return own.length > 1 ? `${words.bareName(first)}, ${words.sides.both}` : words.placeName(first);
    })
    .join('; ');
}

/** Where it leads; of both sides each leads to its own. */
function towardInWords(words: HomeWords, { toward, places }: HomeStep): string {
  if (toward === null) return '';
  const sides = new Set(places.map(sideOf));
  return sides.has('left') && sides.has('right') && sideOf(toward) !== 'mid'
    ? `${words.bareName(toward)} ${words.sides.own}`
    : words.placeName(toward);
}

function countInWords({ counts }: HomeWords, step: HomeStep): string {
  if (step.count === 'breaths') return counts.breaths(step.repetitions);
  if (step.count === 'hold') return counts.hold(Math.round(step.seconds / step.repetitions), step.repetitions);
  const placed = step.placements > 1 ? counts.placed(step.placements) : '';
  return counts.times(step.repetitions) + placed;
}
