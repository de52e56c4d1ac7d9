import type { PlaceId } from '../anatomy/place';
import { type Figure, type Point, pointOf } from '../../core/figure/figure';

/** Pebbles are as large on every drawing as they are on the body. */
export function pebbleScale(figure: Figure): number {
  return figure.viewBox[3] > 800 ? 0.86 : 1.1;
}

/** Where a number rides: on its region, or beside a node group, so that its ring stays visible. */
export function pebblePoint(figure: Figure, place: PlaceId): Point | undefined {
  const at = pointOf(figure, place);
  const node = figure.nodes.find((n) => n.id === place);
  if (!at || !node) return at;
  const outward = (at[0] < figure.viewBox[2] / 2 ? -1 : 1) * (node.r + 13 * pebbleScale(figure));
  return [at[0] + outward, at[1]];
}
