import { nameOf, type PlaceId } from '../anatomy/place';
import { type Figure, type Point, pointOf } from '../../core/figure/figure';

/** The leaf at the end of a way, pointing to the right. */
export const leafOutline = 'M-7 -5C-2 -4 4 -2 8 0C4 2 -2 4 -7 5C-5 2 -5 -2 -7 -5Z';

/** Curves from anchor to anchor, joined: each keeps the bend of the figure's arrow where there is one. */
export function routePath(figure: Figure, path: readonly PlaceId[], isActive: boolean): string {
  let d = '';
  for (let i = 0; i + 1 < path.length; i += 1) {
    const from = pointOf(figure, path[i] ?? '');
    const seen = pointOf(figure, path[i + 1] ?? '');
    const to = seen ?? (from && isActive ? roundTheEdge(figure, path[i] ?? '', path[i + 1] ?? '') : undefined);
    if (!from || !to) continue;
    const arrow = figure.arrows[`${path[i]}>${path[i + 1]}`];
    const bend = arrow && !arrow.across ? /Q(-?[\d.]+) (-?[\d.]+) /.exec(arrow.d) : null;
    d += `M${from[0]} ${from[1]}`;
    d += bend ? `Q${bend[1]} ${bend[2]} ${to[0]} ${to[1]}` : `L${to[0]} ${to[1]}`;
  }
  return d;
}

/**
 * A way that goes on where this drawing cannot show it, round the body: it ends at the edge of its region, on the inner
 * side for what lies there and on the outer side otherwise.
 */
function roundTheEdge(figure: Figure, from: PlaceId, to: PlaceId): Point | undefined {
  const region = figure.regions.find((r) => r.id === from);
  if (!region || (figure.view !== 'front' && figure.view !== 'back')) return undefined;
  const [x, , width] = region.box;
  const isOnTheRight = region.anchor[0] > figure.viewBox[2] / 2;
  const goesIn = nameOf(to).includes('inner');
  return [isOnTheRight === goesIn ? x + 4 : x + width - 4, region.anchor[1] - 12];
}

/** Last point of a path, with the direction in which it arrives. */
export function endOf(d: string): { readonly x: number; readonly y: number; readonly angle: number } | undefined {
  const numbers = [...d.slice(d.lastIndexOf('M')).matchAll(/-?[\d.]+/g)].map(Number);
  if (numbers.length < 4) return undefined;
  const [x = 0, y = 0] = numbers.slice(-2);
  const [px = 0, py = 0] = numbers.slice(-4, -2);
  return { x, y, angle: (Math.atan2(y - py, x - px) * 180) / Math.PI };
}

/** The straight line from the beginning to the end of an arrow, as an angle: 0° to the right, clockwise as drawn. */
export function chordDegrees(d: string): number | undefined {
  const numbers = [...d.matchAll(/-?[\d.]+/g)].map(Number);
  if (numbers.length < 4) return undefined;
  const [x = 0, y = 0] = numbers;
  const [toX = 0, toY = 0] = numbers.slice(-2);
  return ((Math.atan2(toY - y, toX - x) * 180) / Math.PI + 360) % 360;
}
