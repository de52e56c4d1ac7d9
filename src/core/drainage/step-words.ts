import { type Anatomy, type PlaceId, sideOf } from '../anatomy/place';
import type { Step } from './step';
import { clearingDirection } from './why';
import { shortLabel } from '../anatomy/place-labels';
import { capitalise } from '../wording/capitalise';

type Named = Pick<Step, 'kind' | 'place' | 'toward' | 'position'>;

const lyingWords = { supine: 'onto the back', prone: 'face down', side: 'onto the side' } as const;

/** The name under which a step stands in the course: `Left armpit nodes`. */
export function stepTitle(anatomy: Anatomy, step: Named): string {
  switch (step.kind) {
    case 'breathe':
      return 'Belly breathing';
    case 'turn':
      return `Turn ${lyingWords[step.position ?? 'supine']}`;
    case 'carry':
      return `Carry on to the ${shortLabel(anatomy, step.toward ?? step.place)}`;
    case 'return':
      return `Back over the way to the ${shortLabel(anatomy, step.toward ?? step.place)}`;
    case 'soften':
      return `Soften the ${shortLabel(anatomy, step.place)}`;
    default:
      return capitalise(shortLabel(anatomy, step.place));
  }
}

/** Which way the hand goes: `towards the left flank, waist to hip`. */
export function stepDirection(anatomy: Anatomy, step: Named): string {
  if (step.kind === 'clear' || step.kind === 'close' || step.kind === 'breathe') return clearingDirection(step.place);
  if (step.kind === 'turn') return 'the sheet held high, bolsters moved, time to settle';
  if (step.kind === 'soften') return 'slow circles in place, pressing and releasing';
  if (step.kind === 'carry' || step.kind === 'return')
    return `from the ${shortLabel(anatomy, step.place)}, the whole way`;
  return step.toward ? `towards the ${shortLabel(anatomy, step.toward)}` : 'in place';
}

const pressureWords = {
  feather: 'Feather light: only the skin moves.',
  light: 'Light: the skin moves, the muscle does not.',
  medium: 'Medium: down to the muscle, never painful.',
  firm: 'Firm and slow, never painful.',
} as const;

export function pressureInWords(pressure: Step['pressure']): string {
  return pressureWords[pressure];
}

/** `10 ×`, or `5 × 2` where the hand is placed more than once; `2 passes` for long strokes. */
export function repetitionsInWords(step: Pick<Step, 'kind' | 'repetitions' | 'placements'>): string {
  if (step.kind === 'turn') return 'once';
  if (step.kind === 'carry' || step.kind === 'return')
    return `${step.repetitions} ${step.repetitions === 1 ? 'pass' : 'passes'}`;
  if (step.kind === 'breathe') return `${step.repetitions} ×`;
  return step.placements > 1 ? `${step.repetitions} × ${step.placements}` : `${step.repetitions} ×`;
}

/** The heading under which a kind of step stands in the course. */
const phaseOf: Readonly<Record<Step['kind'], string>> = {
  breathe: 'Open',
  clear: 'Open',
  prepare: 'Prepare the way',
  soften: 'Soften',
  drain: 'Drain, near to far',
  carry: 'Drain, near to far',
  return: 'Return',
  close: 'Close',
  turn: 'Turn',
};

/** Phase of each step in its place: what stands after the draining closes the visit, breathing too. */
export function phasesOf(steps: readonly Pick<Step, 'kind'>[]): readonly string[] {
  const lastDrain = steps.map((step) => step.kind).lastIndexOf('drain');
  const phase = (step: Pick<Step, 'kind'>, i: number): string => {
    if (step.kind !== 'turn')
      return step.kind === 'breathe' && lastDrain >= 0 && i > lastDrain ? 'Close' : phaseOf[step.kind];
    const next = steps[i + 1];
    return next ? phase(next, i + 1) : phaseOf.turn;
  };
  return steps.map(phase);
}

/** A place named from the therapist's hand: which side of the client, in words for the table. */
export function sideInWords(id: PlaceId): string {
  const side = sideOf(id);
  return side === 'mid' ? 'in the middle' : `client’s ${side}`;
}
