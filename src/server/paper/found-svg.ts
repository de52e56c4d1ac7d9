import { anatomy } from '../../catalogue/anatomy';
import { paperPalette } from '../../charts/palette';
import type { RememberedView } from '../../contracts/remembered-views';
import type { PlaceId } from '../../core/anatomy/place';
import type { Figure, Point } from '../../core/figure/figure';
import { bestDrawing } from '../../core/figure/views';
import { pebblePoint } from '../../core/figure/pebble-place';
import { figureOf } from './figure-svg';
import { svgDrawing, svgElement, svgText } from './svg';

const { ink, soft, plum } = paperPalette;
const skin = '#f4efe8';
/** As many as can be told apart on one figure. */
const mostFound = 12;
const mostDrawings = 3;

export interface FoundOnPaper {
  readonly drawings: readonly { readonly svg: string; readonly alt: string }[];
  /** What each number stands for, from 1. */
  readonly lines: readonly string[];
}

/** What hands found over the visits: a number at its place in the figure, darker the more present, and its words. */
export function foundOnPaper(remembered: readonly RememberedView[]): FoundOnPaper {
  const told = remembered.slice(0, mostFound);
  const lines = told.map(({ what, words }) => `${what}: ${words}`);
  const drawings = figuresFor(told.map(({ place }) => place)).map((figure) => {
    const placed = told.flatMap((one, i) => {
      const at = pebblePoint(figure, one.place);
      return at ? [{ ...one, number: i + 1, at }] : [];
    });
    const [, , width] = figure.viewBox;
    const unit = width / 200;
    const here = apart(placed, 15 * unit);
    const marks = figure.regions.flatMap(({ id, d }) => {
      const found = here.find(({ place }) => place === id);
      const opacity = found && Math.max(0.15, found.presence).toFixed(2);
      return found ? [svgElement('path', { d, fill: plum, 'fill-opacity': opacity })] : [];
    });
    const numbers = here.flatMap(({ number, at: [x, y] }) => [
      svgElement('circle', { cx: x, cy: y, r: 7 * unit, fill: '#fff', stroke: ink, 'stroke-width': unit }),
      svgText(String(number), {
        ...{ x, y: y + 3.2 * unit, 'font-size': 9 * unit, 'font-weight': 'bold', fill: ink },
        'text-anchor': 'middle',
      }),
    ]);
    return {
      svg: svgDrawing(figure.viewBox, [
        svgElement('path', { d: figure.base, fill: skin }),
        ...marks,
        svgElement('path', { d: figure.outline, fill: 'none', stroke: soft, 'stroke-width': unit }),
        ...figure.details.map((d) => svgElement('path', { d, fill: 'none', stroke: soft, 'stroke-width': unit / 2 })),
        ...numbers,
      ]),
      alt: here.map(({ number }) => `${number} ${lines[number - 1] ?? ''}`).join('; '),
    };
  });
  return { drawings, lines };
}

/** The drawings that show all of the places between them, the one that shows most of them first. */
function figuresFor(places: readonly PlaceId[]): readonly Figure[] {
  const figures: Figure[] = [];
  let left = [...new Set(places)];
  while (left.length > 0 && figures.length < mostDrawings) {
    const { view, side } = bestDrawing(anatomy, left);
    const figure = figureOf(view, side);
    const rest = left.filter((place) => !pebblePoint(figure, place));
    if (rest.length === left.length) break;
    figures.push(figure);
    left = rest;
  }
  return figures;
}

/** Numbers that would lie on one another go down until they do not. */
function apart<N extends { readonly at: Point }>(numbers: readonly N[], gap: number): readonly N[] {
  const placed: N[] = [];
  for (const one of numbers) {
    const [x] = one.at;
    let [, y] = one.at;
    while (placed.some(({ at }) => Math.hypot(at[0] - x, at[1] - y) < gap)) y += gap / 3;
    placed.push({ ...one, at: [x, y] });
  }
  return placed;
}
