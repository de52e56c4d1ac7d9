import { pebbleOutlines } from '../../catalogue/figure/pebbles';
import back from '../../catalogue/figure/back.json';
import faceFront from '../../catalogue/figure/face-front.json';
import faceSide from '../../catalogue/figure/face-side.json';
import foot from '../../catalogue/figure/foot.json';
import front from '../../catalogue/figure/front.json';
import hand from '../../catalogue/figure/hand.json';
import type { FigureView, PlaceId, Side } from '../../core/anatomy/place';
import { boxOf, type Figure, mirrored } from '../../core/figure/figure';
import { pebblePoint } from '../../core/figure/pebble-place';
import { endOf, leafOutline, routePath } from '../../core/figure/route';
import type { StepKind } from '../../core/drainage/step';
import { paperAnswers } from './paper.answers';

const drawings: Readonly<Record<FigureView, unknown>> = {
  front,
  back,
  'face-front': faceFront,
  'face-side': faceSide,
  hand,
  foot,
};

/** A drawing of the catalogue; the right side of a one-sided one comes mirrored. */
export function figureOf(view: FigureView, side: Side): Figure {
  const figure = drawings[view] as Figure;
  return figure.oneSided && side === 'right' ? mirrored(figure) : figure;
}

/** One step in a drawing: a number on its place, and the way that it goes. */
export interface DrawnStep {
  readonly number: number;
  readonly kind: StepKind;
  readonly places: readonly PlaceId[];
  readonly path: readonly PlaceId[];
}

const ink = '#2b2233';
const line = '#8a7f92';
const skin = '#f4efe8';
const worked = '#d9cfe0';
const way = '#5f7a4a';
const card = '#fdfaf5';

/** Wider than it is high, or as high as wide: what a row of a sheet has room for. */
const shape = 0.82;
/** The frame of a drawing, with nothing in it: as large, so that a page is laid out as it will be. */
export const emptyFigure = (width: number): string => paperAnswers.svgXmlnsHttpWwwW3Org(width, width / shape);

/** What is worked, with so much about it that its numbers have room. */
const roomRound = 1.4;
/** Never nearer than this, so that one sees which part of the body it is. */
const leastShare = 0.34;

/**
 * The figure with numbered pebbles and arrows, zoomed to what is worked, as an SVG that prints without anything else.
 * @param width of the drawing in points; it is as high as `width / 0.82`
 */
export function figureSvg(figure: Figure, steps: readonly DrawnStep[], width: number): string {
  const ids = [...new Set(steps.flatMap(({ places, path }) => [...places, ...path]))];
  const [x, y, w, h] = zoomed(figure, ids);
  const unit = w / width;
  const places = new Set(steps.flatMap((step) => step.places));
  const regions = figure.regions
    .filter(({ id }) => places.has(id))
    .map(({ d }) => `<path d="${d}" fill="${worked}"/>`)
    .join('');
  const nodes = figure.nodes
    .filter(({ id }) => places.has(id))
    .map((n) => paperAnswers.circleCxCyRFillStroke(n.x, n.y, n.r, card, way, 2 * unit))
    .join('');
  const routes = steps.map(({ path }) => routeSvg(figure, path, unit)).join('');
  const pebbles = spread(figure, steps, 26 * unit, [x, y, w, h])
    .map(
      ({ step, at }) =>
        `<g transform="translate(${at[0]} ${at[1]}) scale(${0.95 * unit})"><path d="${pebbleOutlines[step.kind]}" fill="${card}" stroke="${ink}" stroke-width="1.4"/><text x="0" y="5" font-size="14" font-weight="bold" text-anchor="middle" fill="${ink}">${step.number}</text></g>`,
    )
    .join('');
  return paperAnswers.svgXmlnsHttpWwwW3Org2(
    width,
    Math.round(width / shape),
    x,
    y,
    w,
    h,
    figure.base,
    skin,
    regions,
    figure.outline,
    line,
    1.4 * unit,
    figure.details.map((d) => paperAnswers.pathDFillNoneStrokeStroke(d, line, 0.9 * unit)).join(''),
    nodes,
    routes,
    pebbles,
  );
}

/** The box round what is worked, in the shape of the drawing, inside the figure as far as that goes. */
function zoomed(figure: Figure, ids: readonly PlaceId[]): readonly [number, number, number, number] {
  const [fx, fy, fw, fh] = figure.viewBox;
  const box = boxOf(figure, ids) ?? figure.viewBox;
  const least = Math.max(box[2] * roomRound, box[3] * roomRound * shape, fw * leastShare);
  const w = Math.min(least, Math.max(fw, fh * shape));
  const h = w / shape;
  const clamp = (value: number, from: number, to: number) =>
    to < from ? (from + to) / 2 : Math.min(Math.max(value, from), to);
  return [
    clamp(box[0] + box[2] / 2 - w / 2, fx, fx + fw - w),
    clamp(box[1] + box[3] / 2 - h / 2, fy, fy + fh - h),
    w,
    h,
  ];
}

function routeSvg(figure: Figure, path: readonly PlaceId[], unit: number): string {
  const d = routePath(figure, path, true);
  const end = d ? endOf(d) : undefined;
  if (!end) return '';
  return paperAnswers.pathDFillNoneStrokeStroke2(
    d,
    way,
    2.6 * unit,
    leafOutline,
    way,
    end.x,
    end.y,
    end.angle,
    1.1 * unit,
  );
}

const rings = 14;
const directions = 12;

/** A point, then those in rings about it, the nearest first. */
const roundAbout = ([x, y]: readonly [number, number], apart: number): readonly (readonly [number, number])[] => [
  [x, y],
  ...Array.from({ length: rings * directions }, (_, i): readonly [number, number] => {
    const radius = apart * (1 + Math.floor(i / directions));
    // Down first: numbers of one place read from top to bottom.
    const angle = Math.PI / 2 + (2 * Math.PI * (i % directions)) / directions;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  }),
];

/**
 * A number stands on each node group of its line, and once on its skin, wholly inside the drawing. Numbers never lie on
 * one another: one that would goes to the nearest free point.
 */
function spread(
  figure: Figure,
  steps: readonly DrawnStep[],
  gap: number,
  box: readonly [number, number, number, number],
) {
  const nodes = new Set(figure.nodes.map(({ id }) => id));
  const onSkin = new Set<number>();
  const [left, top] = [box[0] + gap / 2, box[1] + gap / 2];
  const [right, bottom] = [box[0] + box[2] - gap / 2, box[1] + box[3] - gap / 2];
  const inside = ([px, py]: readonly [number, number]): readonly [number, number] => [
    Math.min(right, Math.max(left, px)),
    Math.min(bottom, Math.max(top, py)),
  ];
  const taken: (readonly [number, number])[] = [];
  return steps.flatMap((step) =>
    step.places.flatMap((place) => {
      const point = pebblePoint(figure, place);
      if (!point || (!nodes.has(place) && onSkin.has(step.number))) return [];
      if (!nodes.has(place)) onSkin.add(step.number);
      const isFree = ([px, py]: readonly [number, number]) =>
        taken.every(([tx, ty]) => Math.hypot(tx - px, ty - py) >= gap);
      const at =
        roundAbout(point, gap / 3)
          .map(inside)
          .find(isFree) ?? inside(point);
      taken.push(at);
      return [{ step, at }];
    }),
  );
}
