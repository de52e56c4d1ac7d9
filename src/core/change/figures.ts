import type { Anatomy, PlaceId } from '../anatomy/place';
import { shortLabel } from '../anatomy/place-labels';
import { faceComposite, type FaceMeasures } from '../swelling/face';
import { exceeds, reaches } from '../statistics';
import { changeSays } from './change.says';

/** Less is better, more is better, nearer to its target, or neither is. */
type Aim = 'less' | 'more' | 'target' | 'none';
type FigureUnit = 'cm' | '°' | '°C' | 'mm' | '%' | 'of 10' | 'grade';

/** One thing that was measured, felt or asked, as a number. */
export interface Figure {
  /** The same at every visit: what, and where. */
  readonly key: string;
  readonly name: string;
  readonly unit: FigureUnit;
  readonly aim: Aim;
  readonly value: number;
  /** Where it should be, with the aim `target`. */
  readonly target?: number;
  /** Told beneath the others, since it is one of many of its kind. */
  readonly isDetail?: true;
  /** What a change has to exceed to be told from the error of measuring; where it counts in whole steps, or is a sum of lengths, to reach. */
  readonly limit: number;
  readonly isReached?: true;
  /** What the steps of a grade are called, from 0. */
  readonly steps?: readonly string[];
}

const textures = ['soft', 'doughy', 'firm', 'hard'] as const;
const chins = ['left', 'mid', 'right'] as const;
const chinSteps = [changeSays.chinLeft, changeSays.chinMiddle, changeSays.chinRight];

export interface NeckRange {
  readonly flexion: number | null;
  readonly extension: number | null;
  readonly turnLeft: number | null;
  readonly turnRight: number | null;
  readonly bendLeft: number | null;
  readonly bendRight: number | null;
  /** Which way the chin lies off the middle, at rest. */
  readonly chin?: (typeof chins)[number] | null;
}

interface Values {
  readonly scores: Readonly<Record<'tightness' | 'heaviness' | 'pain' | 'movement' | 'calfPain', number | null>>;
  readonly texture: { readonly texture: (typeof textures)[number] };
  readonly pitting: { readonly depthMm: number };
  readonly redness: { readonly grade: number };
  readonly temperature: { readonly hereC: number; readonly mirrorC: number };
  readonly face: FaceMeasures;
  readonly abdomen: {
    readonly girths: readonly { readonly heightCm: number; readonly girthCm: number }[];
    readonly isCovered: boolean;
  };
  readonly 'neck-range': NeckRange;
  readonly mouth: { readonly openingMm: number | null };
  readonly lines: { readonly lines: readonly { readonly depth?: number | undefined }[] };
}

/** What was seen, as far as it is a number; the rest is of kinds that have none. */
export interface Seen {
  readonly kind: string;
  readonly place: PlaceId | null;
  readonly value: unknown;
}

/** Measuring errors of the house (95 %), by quantity; cm and per cent of the first value. */
export interface FigureLimits {
  readonly abdomenGirthCm: number;
  readonly facePercent: number;
  /** What the distances of one side of the face are called, in their order. */
  readonly faceDistances: readonly string[];
}

/** Scales of ten are told apart by two; angles that are read by eye by ten degrees; grades by one. */
const [scaleLimit, angleLimit, warmthLimit, pitLimit] = [2, 10, 1, 1];
/** Between the edges of the front teeth, by ruler, mm (unsure: replace by own pairs). */
const mouthLimitMm = 5;
/** Two readings of one length agree within half a centimetre or one per cent (rules for every taping). */
const lengthLimitCm = (cm: number) => Math.max(0.5, cm / 100);

type Teller<K extends keyof Values> = (value: Values[K], at: Where) => readonly (Figure | undefined)[];

interface Where {
  /** `, left calf` */
  readonly suffix: string;
  readonly place: string;
  readonly limits: FigureLimits;
}

type Given = Omit<Figure, 'value' | 'key'> & { readonly id: string };

/** Field by field: a client of years has thousands of these, and a copy of an object costs ten times as much. */
function figure(
  given: Given,
  value: number | null | undefined,
  { suffix, place }: Pick<Where, 'suffix' | 'place'>,
): Figure | undefined {
  if (value === null || value === undefined) return undefined;
  const made: { -readonly [K in keyof Figure]: Figure[K] } = {
    key: place === '' ? given.id : `${given.id} ${place}`,
    name: suffix === '' ? given.name : `${given.name}${suffix}`,
    unit: given.unit,
    aim: given.aim,
    limit: given.limit,
    value,
  };
  if (given.target !== undefined) made.target = given.target;
  if (given.isDetail) made.isDetail = given.isDetail;
  if (given.isReached) made.isReached = given.isReached;
  if (given.steps) made.steps = given.steps;
  return made;
}

const scale = (id: string, name: string, aim: Aim): Given => ({
  ...{ id, name, aim, unit: 'of 10', limit: scaleLimit },
  isReached: true,
});
const angle = (id: string, name: string): Given => ({ id, name, aim: 'more', unit: '°', limit: angleLimit });

const tellers: { readonly [K in keyof Values]: Teller<K> } = {
  scores: (value, at) => [
    figure(scale('heaviness', changeSays.heavy, 'less'), value.heaviness, at),
    figure(scale('tightness', changeSays.tight, 'less'), value.tightness, at),
    figure(scale('pain', changeSays.pain, 'less'), value.pain, at),
    figure(scale('movement', changeSays.movement, 'less'), value.movement, at),
    figure(scale('calf-pain', changeSays.calfPain, 'less'), value.calfPain, at),
  ],
  texture: ({ texture }, at) => [
    figure(
      {
        id: 'firmness',
        name: changeSays.firmness,
        aim: 'less',
        unit: 'grade',
        limit: 1,
        isReached: true,
        steps: textures,
      },
      textures.indexOf(texture),
      at,
    ),
  ],
  pitting: ({ depthMm }, at) => [
    figure({ id: 'pit', name: changeSays.pit, aim: 'less', unit: 'mm', limit: pitLimit }, depthMm, at),
  ],
  redness: ({ grade }, at) => [
    figure(
      { id: 'redness', name: changeSays.redness, aim: 'less', unit: 'grade', limit: 1, isReached: true },
      grade,
      at,
    ),
  ],
  temperature: ({ hereC, mirrorC }, at) => [
    figure(
      { id: 'warmth', name: changeSays.warmth, aim: 'less', unit: '°C', limit: warmthLimit },
      Math.round((hereC - mirrorC) * 10) / 10,
      at,
    ),
  ],
  face: (value, at) => {
    const sums = faceComposite(value);
    // Sums over other distances are another figure: they are never held against each other.
    const taken = value.rightCm.flatMap((right, i) => (right === null || value.leftCm[i] == null ? [] : [i + 1]));
    const sum = (id: string, name: string, cm: number | null | undefined) =>
      figure(
        { id, name, aim: 'less', unit: 'cm', isReached: true, limit: ((cm ?? 0) * at.limits.facePercent) / 100 },
        cm,
        at,
      );
    const point = (side: 'right' | 'left', i: number, cm: number | null) =>
      figure(
        {
          id: `face-${side} ${i + 1}`,
          aim: 'less',
          unit: 'cm',
          isDetail: true,
          name: changeSays.facePoint(at.limits.faceDistances[i] ?? '', side),
          limit: lengthLimitCm(cm ?? 0),
        },
        cm,
        at,
      );
    return [
      sum(`face ${taken.join('')}`, changeSays.face(taken.length), sums?.faceCm),
      sum('neck', changeSays.neck, sums?.neckCm),
      ...value.rightCm.flatMap((cm, i) => [point('right', i, cm), point('left', i, value.leftCm[i] ?? null)]),
    ];
  },
  // Taken over a dressing or binder it is not compared.
  abdomen: ({ girths, isCovered }, at) =>
    (isCovered ? [] : girths).map(({ heightCm, girthCm }) =>
      figure(
        {
          id: `belly ${heightCm}`,
          name: heightCm === 0 ? changeSays.bellyAtNavel : changeSays.bellyAt(heightCm),
          aim: 'less',
          unit: 'cm',
          limit: at.limits.abdomenGirthCm,
        },
        girthCm,
        at,
      ),
    ),
  'neck-range': (neck, at) => [
    figure(angle('neck-flexion', changeSays.neckForward), neck.flexion, at),
    figure(angle('neck-extension', changeSays.neckBack), neck.extension, at),
    figure(angle('neck-turn-left', changeSays.neckTurnsLeft), neck.turnLeft, at),
    figure(angle('neck-turn-right', changeSays.neckTurnsRight), neck.turnRight, at),
    figure(angle('neck-bend-left', changeSays.neckTiltsLeft), neck.bendLeft, at),
    figure(angle('neck-bend-right', changeSays.neckTiltsRight), neck.bendRight, at),
    figure(
      {
        ...{ id: 'chin', name: changeSays.chin, aim: 'target', target: chins.indexOf('mid') },
        ...{ unit: 'grade', limit: 1, isReached: true, steps: chinSteps },
      },
      neck.chin ? chins.indexOf(neck.chin) : undefined,
      at,
    ),
  ],
  mouth: ({ openingMm }, at) => [
    figure({ id: 'mouth', name: changeSays.mouth, aim: 'more', unit: 'mm', limit: mouthLimitMm }, openingMm, at),
  ],
  lines: ({ lines }, at) => {
    const depths = lines.flatMap(({ depth }) => depth ?? []);
    return [
      figure(
        { id: 'line depth', name: changeSays.lineDepth, aim: 'less', unit: 'grade', limit: 1, isReached: true },
        depths.length > 0 ? Math.max(...depths) : undefined,
        at,
      ),
    ];
  },
};

const isTold = (kind: string): kind is keyof Values => Object.hasOwn(tellers, kind);

/** Everything in it that is a number, with what it takes to call a change real. */
export function figuresOf(anatomy: Anatomy, { kind, place, value }: Seen, limits: FigureLimits): readonly Figure[] {
  if (!isTold(kind)) return [];
  const at: Where = {
    ...{ limits, place: place ?? '' },
    suffix: place === null ? '' : `, ${shortLabel(anatomy, place)}`,
  };
  // The kind says which of the shapes the value has: both come out of one record.
  const tell = tellers[kind] as Teller<keyof Values>;
  return tell(value as never, at).filter((one) => one !== undefined);
}

/** Whether a change is more than the error of measuring; the limit is that of the value that it began at. */
export const isBeyond = ({ limit, isReached }: Pick<Figure, 'limit' | 'isReached'>, change: number): boolean =>
  isReached ? reaches(Math.abs(change), limit) : exceeds(Math.abs(change), limit);
