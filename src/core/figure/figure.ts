import type { FigureView, PlaceId } from '../anatomy/place';

export type Point = readonly [number, number];

/** One drawing of the figure with the measures taken from it; coordinates are those of its view box. */
export interface Figure {
  readonly view: FigureView;
  readonly label: string;
  readonly viewBox: readonly [number, number, number, number];
  /** Drawn as a left side only; the right side is its mirror image. */
  readonly oneSided: boolean;
  readonly base: string;
  readonly outline: string;
  readonly outlineWidth: number;
  readonly zones: readonly {
    readonly id: string;
    readonly view: FigureView;
    readonly label: string;
    readonly d: string;
  }[];
  readonly regions: readonly {
    readonly id: PlaceId;
    readonly label: string;
    readonly d: string;
    readonly anchor: Point;
    readonly box: readonly [number, number, number, number];
  }[];
  readonly shade: readonly string[];
  readonly watersheds: readonly { readonly id: string; readonly d: string }[];
  readonly accents: readonly string[];
  readonly details: readonly string[];
  readonly nodes: readonly {
    readonly id: PlaceId;
    readonly label: string;
    readonly x: number;
    readonly y: number;
    readonly r: number;
    readonly far: boolean;
  }[];
  readonly arrows: Readonly<Record<string, { readonly d: string; readonly kind: string; readonly across?: boolean }>>;
}

const toRight = (id: string) => id.replaceAll('.left', '.right');

/** Arrows are written in absolute pairs of coordinates (M and Q). */
function mirrorPath(d: string, width: number): string {
  return d.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_pair, x: string, y: string) => `${width - Number(x)} ${y}`);
}

/** The right side of a one-sided drawing: ids and coordinates alike. */
export function mirrored(figure: Figure): Figure {
  const width = figure.viewBox[2];
  return {
    ...figure,
    label: figure.label.replace('Left', 'Right').replace('left', 'right'),
    regions: figure.regions.map((region) => ({
      ...region,
      id: toRight(region.id),
      label: region.label.replace('left', 'right'),
      anchor: [width - region.anchor[0], region.anchor[1]],
      box: [width - region.box[0] - region.box[2], region.box[1], region.box[2], region.box[3]],
    })),
    nodes: figure.nodes.map((node) => ({
      ...node,
      id: toRight(node.id),
      label: node.label.replace('left', 'right'),
      x: width - node.x,
    })),
    arrows: Object.fromEntries(
      Object.entries(figure.arrows).map(([key, arrow]) => [toRight(key), { ...arrow, d: mirrorPath(arrow.d, width) }]),
    ),
  };
}

/** Where a place lies in a drawing: the anchor of a region or the middle of a node group. */
export function pointOf(figure: Figure, id: PlaceId): Point | undefined {
  const node = figure.nodes.find((n) => n.id === id);
  if (node) return [node.x, node.y];
  return figure.regions.find((region) => region.id === id)?.anchor;
}

/** Smallest box round some places of a drawing, as `[x, y, width, height]`; undefined when none of them shows. */
export function boxOf(figure: Figure, ids: readonly PlaceId[]): readonly [number, number, number, number] | undefined {
  const boxes = ids.flatMap((id) => {
    const region = figure.regions.find((r) => r.id === id);
    if (region) return [region.box];
    const node = figure.nodes.find((n) => n.id === id);
    return node ? [[node.x - 20, node.y - 20, 40, 40] as const] : [];
  });
  if (boxes.length === 0) return undefined;
  const x = Math.min(...boxes.map((b) => b[0]));
  const y = Math.min(...boxes.map((b) => b[1]));
  const right = Math.max(...boxes.map((b) => b[0] + b[2]));
  const bottom = Math.max(...boxes.map((b) => b[1] + b[3]));
  return [x, y, right - x, bottom - y];
}
