import { mirrorOf, sideOf } from '../anatomy/place';
import type { Remembered } from './remembered';

type Found = Pick<Remembered, 'kind' | 'place' | 'presence'>;

/** The side that was tighter over the visits, and what says so. */
export interface TighterSide<T> {
  readonly side: 'left' | 'right';
  readonly found: readonly T[];
}

/** A finding that has faded to less than this, a month old and not found again, is not planned by. */
const leastPresence = 0.5;

/** An angle that is read by eye tells the sides apart from so many degrees on. */
const leastTurnDegrees = 10;

/**
 * Which side hands found tighter. What was tighter on both sides of a place says nothing about sides; of both sides the
 * one has it where more is remembered.
 * @returns undefined where neither side is tighter, or one as much as the other
 */
export function tighterSide<T extends Found>(remembered: readonly T[]): TighterSide<T> | undefined {
  const tight = remembered.filter(({ kind, presence }) => kind === 'tighter' && presence >= leastPresence);
  const places = new Set(tight.map(({ place }) => place));
  const on = (side: 'left' | 'right') =>
    tight.filter(({ place }) => sideOf(place) === side && !places.has(mirrorOf(place)));
  const [left, right] = [on('left'), on('right')];
  const [more, less] = [weightOf(left), weightOf(right)];
  if (more === less) return undefined;
  return more > less ? { side: 'left', found: left } : { side: 'right', found: right };
}

const weightOf = (found: readonly Found[]) => found.reduce((sum, { presence }) => sum + presence, 0);

/** The side of a neck that turns less to it, by more than the eye may err (°). */
export function tighterByTurning({
  turnLeft,
  turnRight,
}: {
  readonly turnLeft: number | null;
  readonly turnRight: number | null;
}): 'left' | 'right' | undefined {
  if (turnLeft === null || turnRight === null || Math.abs(turnLeft - turnRight) < leastTurnDegrees) return undefined;
  return turnLeft < turnRight ? 'left' : 'right';
}
