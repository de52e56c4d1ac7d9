import type { TechniqueId } from '../ids';
import type { Seconds } from '../quantities';
import { exceeds, median, reaches } from '../statistics';
import type { Library } from './protocol';
import { hasTrait, type Technique } from './technique';

/** What one repetition of a technique took a therapist in one region and side (s), in one step that was done at the table. */
export interface Take {
  readonly technique: TechniqueId;
  readonly seconds: Seconds;
}

/** How fast a therapist works with a technique. */
export interface OwnPace {
  readonly secondsPerRepetition: Seconds;
  /** From so many steps. */
  readonly times: number;
}

/** Fewer say nothing of a habit. */
export const leastTimes = 10;
/** Beyond these times of what the library says the steps were pressed through, or the clock ran on. */
const within = [0.5, 2] as const;

/** Stones lie as long as the skin allows and breath is the client’s: no hand’s habit changes either. */
export const mayHaveOwnPace = (technique: Technique): boolean =>
  !['stone-rest', 'breath'].includes(technique.family) && !hasTrait(technique, 'breath-linked');

/**
 * The seconds of a repetition that a therapist really takes: the median of what was taken, where there are ten and more,
 * to a tenth of a second. What took less than half or more than double of the library’s counts for nothing.
 */
export function ownPaces(techniques: Library['techniques'], takes: readonly Take[]): ReadonlyMap<TechniqueId, OwnPace> {
  const all = new Map<TechniqueId, Seconds[]>();
  for (const { technique: id, seconds } of takes) {
    const technique = techniques.get(id);
    if (!technique || !mayHaveOwnPace(technique)) continue;
    const own = seconds / technique.placements;
    const [low, high] = within.map((times) => times * technique.secondsPerRepetition) as [Seconds, Seconds];
    if (!reaches(own, low) || exceeds(own, high)) continue;
    const known = all.get(id);
    if (known) known.push(own);
    else all.set(id, [own]);
  }
  return new Map(
    [...all]
      .filter(([, taken]) => taken.length >= leastTimes)
      .map(([id, taken]) => [id, { secondsPerRepetition: Math.round(10 * median(taken)) / 10, times: taken.length }]),
  );
}

/** A library as one therapist works with it. */
export function atOwnPace<L extends Library>(library: L, paces: ReadonlyMap<TechniqueId, OwnPace>): L {
  if (paces.size === 0) return library;
  const techniques = new Map(library.techniques);
  for (const [id, { secondsPerRepetition }] of paces) {
    const technique = techniques.get(id);
    if (technique) techniques.set(id, { ...technique, secondsPerRepetition });
  }
  return { ...library, techniques };
}
