import type { RegionGroups } from '../anatomy/place';

/** Lines of the face as they are drawn on the map, in the units of its drawing (600 × 720, x right, y down). */

export type Point = readonly [number, number];

export const lineKinds = ['forehead', 'frown', 'crow', 'smile', 'mouth-corner', 'neck'] as const;
export type LineKind = (typeof lineKinds)[number];

export const faceDrawings = ['face-front', 'face-side'] as const;
export type FaceDrawing = (typeof faceDrawings)[number];

/** One line of one client. `mid` where it runs over the middle of the face. */
export interface FaceLine {
  readonly id: string;
  readonly kind: LineKind;
  readonly side: 'left' | 'right' | 'mid';
  readonly drawing: FaceDrawing;
  /** Its side of the head, where the drawing shows one. */
  readonly profile: 'left' | 'right';
  readonly points: readonly Point[];
  /** How deep it is, 0 seen only when the face moves – 4 a fold at rest; absent where nobody has said. */
  readonly depth?: number | undefined;
}

export const deepest = 4;

/** The middle line of the drawing from the front; the client's left lies at the greater x. */
export const middleX = 300;
const nearMiddle = 12;
const frownReach = 48;

const distance = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/** Length along a line. */
export const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, point, i) => sum + distance(points[i] ?? point, point), 0);

/** Points at even distances along a line, its two ends among them. @param count at least 2 */
export function evenPoints(points: readonly Point[], count: number): readonly Point[] {
  const total = lengthOf(points);
  return Array.from({ length: count }, (_, i) => pointAlong(points, (total * i) / (count - 1)));
}

/** The point so far along a line. */
function pointAlong(points: readonly Point[], along: number): Point {
  let left = along;
  for (let i = 1; i < points.length; i += 1) {
    const [from, to] = [points[i - 1], points[i]];
    if (!from || !to) break;
    const step = distance(from, to);
    if (left <= step && step > 0) {
      const share = left / step;
      return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    }
    left -= step;
  }
  return points.at(-1) ?? [0, 0];
}

/** On which side of the face a line lies. */
export function sideOfLine(
  drawing: FaceDrawing,
  profile: 'left' | 'right',
  points: readonly Point[],
): FaceLine['side'] {
  if (drawing === 'face-side') return profile;
  const xs = points.map(([x]) => x);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  if (least < middleX - nearMiddle && most > middleX + nearMiddle) return 'mid';
  return least + most >= 2 * middleX ? 'left' : 'right';
}

/**
 * Which line it is, from the regions that it runs over and its direction.
 * @param regions names without side, in the order of the line, as often as it was looked
 * @returns undefined where no line of the face is worked, such as on an ear
 */
export function kindOfLine(
  groups: RegionGroups,
  drawing: FaceDrawing,
  points: readonly Point[],
  regions: readonly string[],
): LineKind | undefined {
  const counts = new Map<string, number>();
  for (const region of regions) counts.set(region, (counts.get(region) ?? 0) + 1);
  const main = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  if (main === undefined) return undefined;
  const [first, last] = [points[0] ?? [0, 0], points.at(-1) ?? [0, 0]];
  const isUpright = Math.abs(last[1] - first[1]) > Math.abs(last[0] - first[0]);
  const middle = pointAlong(points, lengthOf(points) / 2);
  const isBetweenBrows = drawing === 'face-front' && Math.abs(middle[0] - middleX) <= frownReach && isUpright;
  if (isBetweenBrows && groups['lines-frown'].has(main)) return 'frown';
  if (groups['lines-forehead'].has(main)) return 'forehead';
  if (groups['lines-crow'].has(main)) return 'crow';
  if (groups.neck.has(main)) return 'neck';
  if (groups['lines-mouth-corner'].has(main)) return 'mouth-corner';
  if (groups['lines-smile'].has(main)) return 'smile';
  return undefined;
}
