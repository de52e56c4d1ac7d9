import { evenPoints, type FaceLine, lengthOf, type LineKind, middleX, type Point } from './line';

/** The group that takes what is moved off a line: above the mouth the one before the ear, below it the jaw's. */
export const drainOf: Readonly<Record<LineKind, string>> = {
  forehead: 'preauricular',
  frown: 'preauricular',
  crow: 'preauricular',
  smile: 'submandibular',
  'mouth-corner': 'submandibular',
  neck: 'terminus',
};

/** Regions that the long stroke passes on its way, so that it goes round the eye and not over it. */
const wayOf: Readonly<Record<LineKind, readonly string[]>> = {
  forehead: ['temple'],
  frown: ['forehead', 'temple'],
  crow: [],
  smile: [],
  'mouth-corner': [],
  neck: [],
};

export interface LineStrokes {
  /** Short strokes that cut across the line, in the order from its start to its end. */
  readonly across: readonly (readonly [Point, Point])[];
  /** Long strokes along the line and on to the drain; two where the line runs over the middle. */
  readonly smoothing: readonly { readonly drain: string; readonly points: readonly Point[] }[];
}

const betweenStrokes = 22;
const mostStrokes = 9;
const halfStroke = 13;
const smoothPoints = 12;

/**
 * How a line is worked: little strokes square to it, then along it towards its drain.
 * @param pointAt where a node group or region lies in the drawing that the line was drawn on, by its id with side
 */
export function strokesOf(line: FaceLine, pointAt: (id: string) => Point | undefined): LineStrokes {
  const count = Math.min(mostStrokes, Math.max(1, Math.round(lengthOf(line.points) / betweenStrokes)));
  // The ends of a line are thin: strokes stand in the middle of equal parts of it.
  const marks = evenPoints(line.points, 2 * count + 1);
  const across = Array.from({ length: count }, (_, i) => {
    const [before, at, behind] = [marks[2 * i], marks[2 * i + 1], marks[2 * i + 2]];
    if (!before || !at || !behind) throw new Error('a line without length has no strokes');
    return acrossAt(at, before, behind);
  });
  return { across, smoothing: smoothingOf(line, pointAt) };
}

/** A stroke square to the way from `before` to `behind`: upward, or away from the middle where the line stands upright. */
function acrossAt(at: Point, before: Point, behind: Point): readonly [Point, Point] {
  const [dx, dy] = [behind[0] - before[0], behind[1] - before[1]];
  const length = Math.hypot(dx, dy) || 1;
  let [nx, ny] = [-dy / length, dx / length];
  const isAcrossUpright = Math.abs(nx) > Math.abs(ny);
  const isTurned = isAcrossUpright ? nx * (at[0] >= middleX ? 1 : -1) < 0 : ny > 0;
  if (isTurned) [nx, ny] = [-nx, -ny];
  return [
    [at[0] - nx * halfStroke, at[1] - ny * halfStroke],
    [at[0] + nx * halfStroke, at[1] + ny * halfStroke],
  ];
}

function smoothingOf(line: FaceLine, pointAt: (id: string) => Point | undefined): LineStrokes['smoothing'] {
  const even = evenPoints(line.points, smoothPoints);
  if (line.side !== 'mid') {
    return [smoothed(line.kind, line.side, even, pointAt)];
  }
  return (['right', 'left'] as const).map((side) => {
    const half = even.filter(([x]) => (side === 'left' ? x >= middleX : x <= middleX));
    return smoothed(line.kind, side, half, pointAt);
  });
}

function smoothed(
  kind: LineKind,
  side: 'left' | 'right',
  points: readonly Point[],
  pointAt: (id: string) => Point | undefined,
): LineStrokes['smoothing'][number] {
  const drain = `${drainOf[kind]}.${side}`;
  const onward = [...wayOf[kind].map((region) => `${region}.${side}`), drain].flatMap((id) => {
    const at = pointAt(id);
    return at ? [at] : [];
  });
  return { drain, points: [...towards(points, onward[0]), ...onward] };
}

/** The line from its end that is far from where it goes to the near one. */
function towards(points: readonly Point[], goal: Point | undefined): readonly Point[] {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || !goal) return points;
  const far = (point: Point) => Math.hypot(point[0] - goal[0], point[1] - goal[1]);
  return far(first) >= far(last) ? points : points.toReversed();
}
