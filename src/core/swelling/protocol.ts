import type { Minutes } from '../quantities';
import type { FieldError, Result } from '../result';
import { isBelow } from '../statistics';
import { swellingSays } from './swelling.says';

/** How a limb is taped: fixed points, from a zero mark upwards, the same every time. */
export interface TapeProtocol {
  readonly id: string;
  readonly limb: 'arm' | 'leg';
  readonly name: string;
  readonly zero: string;
  readonly posture: string;
  readonly stop: string;
  readonly restMinutes: Minutes;
  /** Rising from the zero mark. */
  readonly positionsCm: readonly number[];
  /** The figure-of-eight that belongs to it; null: none. */
  readonly eight: 'hand' | 'ankle' | null;
}

const fewestPoints = 3;
const mostPoints = 40;
const closestCm = 1;
const wideCm = 10;
const furthestCm = 120;

/** Checks the points of an own protocol (cm from the zero mark): 3 to 40, rising, at least 1 cm apart. */
export function checkPositions(positionsCm: readonly number[]): Result<readonly number[]> {
  const errors: FieldError[] = [];
  const refuse = (message: string) => errors.push({ path: 'positionsCm', message });
  if (positionsCm.length < fewestPoints) refuse(swellingSays.giveAtLeastPoints(fewestPoints));
  if (positionsCm.length > mostPoints) refuse(swellingSays.giveAtMostPoints(mostPoints));
  if (positionsCm.some((x) => x < 0 || x > furthestCm)) refuse(swellingSays.pointsLieBetween0AndCm(furthestCm));
  positionsCm.forEach((x, i) => {
    const before = positionsCm[i - 1];
    if (before === undefined) return;
    if (x <= before) refuse(swellingSays.cmDoesNotLieAboveCm(x, before));
    else if (isBelow(x - before, closestCm)) refuse(swellingSays.andCmLieLessThan1(before, x));
  });
  return errors.length > 0 ? { ok: false, errors } : { ok: true, value: positionsCm };
}

/** Whether points lie so far apart that the volume gets less certain. */
export const isSpacingWide = (positionsCm: readonly number[]) =>
  positionsCm.some((x, i) => i > 0 && x - (positionsCm[i - 1] ?? 0) > wideCm);

/** Points as they are typed, such as `0, 5 12 20`; commas between digits of one number are not told from separators. */
export function parsePositions(text: string): readonly number[] | undefined {
  const parts = text.split(/[\s;]+|,(?=\s|$)/).filter(Boolean);
  const numbers = parts.map((part) => Number(part.replace(',', '.')));
  return numbers.length > 0 && numbers.every(Number.isFinite) ? numbers : undefined;
}
