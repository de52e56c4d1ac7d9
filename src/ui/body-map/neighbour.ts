import type { PlaceId } from '../../core/anatomy/place';
import type { Point } from '../../core/figure/figure';

export type ArrowKey = 'ArrowUp' | 'ArrowDown' | 'ArrowLeft' | 'ArrowRight';

const directions: Readonly<Record<ArrowKey, Point>> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

export const isArrowKey = (key: string): key is ArrowKey => key in directions;

/**
 * The nearest place in the direction of an arrow key, straying sideways counting double.
 * @returns undefined at the edge of the figure
 */
export function neighbourOf(
  places: readonly { readonly id: PlaceId; readonly at: Point }[],
  from: Point,
  key: ArrowKey,
): PlaceId | undefined {
  const [dx, dy] = directions[key];
  let best: PlaceId | undefined;
  let bestReach = Infinity;
  for (const { id, at } of places) {
    const [x, y] = [at[0] - from[0], at[1] - from[1]];
    const ahead = x * dx + y * dy;
    const aside = Math.abs(x * dy) + Math.abs(y * dx);
    if (ahead < 1 || aside > 2.5 * ahead + 4) continue;
    const reach = ahead + 2 * aside;
    if (reach < bestReach) {
      best = id;
      bestReach = reach;
    }
  }
  return best;
}
