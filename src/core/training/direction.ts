import type { FigureView, PlaceId } from '../anatomy/place';
import { shortLabel } from '../anatomy/place-labels';
import type { Finding } from '../drainage/finding';
import { surveyCase } from '../drainage/survey';
import { type Figure, mirrored, type Point, pointOf } from '../figure/figure';
import { chordDegrees } from '../figure/route';
import { bodyOf } from './bodies';
import type { Drill, TrainingBooks } from './drill';
import { scoreOf } from './drill';
import type { SkillId } from './skills';
import { trainingSays } from './training.says';

interface DirectionCase {
  readonly words: string;
  readonly findings: readonly Finding[];
  readonly view: FigureView;
  readonly isMirrored: boolean;
  readonly place: PlaceId;
  readonly toward: PlaceId;
  readonly at: Point;
  readonly degrees: number;
  /** The next place is told: at the first level. */
  readonly isTold: boolean;
}

export interface DirectionQuestion {
  readonly words: string;
  readonly findings: readonly Finding[];
  readonly view: FigureView;
  /** The drawing of a left side, turned over. */
  readonly isMirrored: boolean;
  readonly place: PlaceId;
  readonly placeLabel: string;
  readonly at: Point;
  readonly towardLabel: string | null;
}

/** 0° to the right of the drawing, then clockwise: 90° is down. */
export interface DirectionAnswer {
  readonly degrees: number;
}

const rightWithin = 25;
const nearlyWithin = 60;

/** One stroke in one place: which way it goes. */
export const directionDrill: Drill<DirectionCase, DirectionQuestion, DirectionAnswer> = {
  make: (books, draw, level, course) => {
    const body = course ?? bodyOf(books.anatomy, draw, level);
    if (!body) return undefined;
    const { routes } = surveyCase(books.anatomy, body.read);
    const strokes = [...routes.values()].flatMap(({ path: [place = '', next = ''] }) =>
      drawnStrokes(books, place, next),
    );
    if (strokes.length === 0) return undefined;
    return {
      ...{ words: body.words, findings: body.read.findings, isTold: level === 1 },
      ...draw.pick(strokes),
    };
  },
  ask: ({ anatomy }, { words, findings, view, isMirrored, place, toward, at, isTold }) => ({
    ...{ words, findings, view, isMirrored, place, at },
    placeLabel: shortLabel(anatomy, place),
    towardLabel: isTold ? shortLabel(anatomy, toward) : null,
  }),
  errors: () => [],
  judge: ({ anatomy }, { degrees, place, toward }, answer) => {
    const off = Math.abs(((answer.degrees - degrees + 540) % 360) - 180);
    if (off <= rightWithin) return { score: 1, faults: [] };
    const text = trainingSays.strokeGoes(shortLabel(anatomy, place), shortLabel(anatomy, toward), Math.round(off));
    const score = off <= nearlyWithin ? 0.6 : (0.3 * (180 - off)) / 180;
    return { score: scoreOf(score), faults: [{ rule: 'always-towards', text }] };
  },
  best: (_books, { degrees }) => ({ degrees: Math.round(degrees * 10) / 10 }),
  skills: (_books, { view }) => [skillOfView[view]],
};

const skillOfView: Readonly<Record<FigureView, SkillId>> = {
  front: 'strokes-on-body',
  back: 'strokes-on-body',
  'face-front': 'strokes-on-face',
  'face-side': 'strokes-on-face',
  hand: 'strokes-on-hand-and-foot',
  foot: 'strokes-on-hand-and-foot',
};

type Stroke = Pick<DirectionCase, 'view' | 'isMirrored' | 'place' | 'toward' | 'at' | 'degrees'>;

const turned = new WeakMap<Figure, Figure>();

function turnedOver(figure: Figure): Figure {
  const known = turned.get(figure) ?? mirrored(figure);
  turned.set(figure, known);
  return known;
}

/** The drawings in which the figure has an arrow for a stroke. */
function drawnStrokes({ figures }: TrainingBooks, place: PlaceId, toward: PlaceId): readonly Stroke[] {
  const sides: readonly { readonly figure: Figure; readonly isMirrored: boolean }[] = figures.flatMap((figure) => [
    { figure, isMirrored: false },
    ...(figure.oneSided ? [{ figure: turnedOver(figure), isMirrored: true }] : []),
  ]);
  return sides.flatMap(({ figure, isMirrored }) => {
    const arrow = figure.arrows[`${place}>${toward}`];
    const at = pointOf(figure, place);
    const degrees = arrow && !arrow.across ? chordDegrees(arrow.d) : undefined;
    return degrees === undefined || !at ? [] : [{ view: figure.view, isMirrored, place, toward, at, degrees }];
  });
}
