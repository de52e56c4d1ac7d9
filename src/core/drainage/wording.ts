import { shortLabel, theLabel } from '../anatomy/place-labels';
import { type Anatomy, nameOf, type PlaceId } from '../anatomy/place';
import { assertNever } from '../result';
import type { BlockCause } from './hindrance';

/** Why a group is not an exit. */
export type Rejection = {
  readonly to: PlaceId;
  readonly cause: BlockCause | 'unreachable' | 'too-dear' | 'further' | 'other-side-in-focus' | 'not-chosen';
  readonly cost?: number;
  readonly cheapest?: number;
};

/** `a`, `a and b`, `a, b and c`. */
export function list(items: readonly string[]): string {
  if (items.length < 2) return items[0] ?? '';
  return `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
}

/** The places between both ends of a way, as a therapist would say them: `by the left flank …, then …`. */
export function wayInWords(anatomy: Anatomy, path: readonly PlaceId[]): string {
  const between = path.slice(1, -1).filter((id) => anatomy.territories.has(id));
  if (between.length === 0) return 'straight there';
  return `by the ${between.map((id) => shortLabel(anatomy, id)).join(', then the ')}`;
}

export function formatCost(cost: number): string {
  return Number.isInteger(cost) ? String(cost) : cost.toFixed(1);
}

export function rejectionInWords(anatomy: Anatomy, rejection: Rejection): string {
  const { cause } = rejection;
  const cost = formatCost(rejection.cost ?? 0);
  const hands = `about ${cost} hand’s widths`;
  switch (cause) {
    case 'removed': {
      const crease = nameOf(rejection.to) === 'inguinal' ? ', nor into the knee crease' : '';
      return `Its nodes were removed: no stroke goes there${crease}.`;
    }
    case 'irradiated':
      return 'It was irradiated and counts as closed: no stroke goes there.';
    case 'wound':
      return 'There is an open wound: nothing is led there.';
    case 'unreachable':
      return 'No open skin leads there: scars, wounds or closed groups lie across every way.';
    case 'too-dear':
      return `Too far to help: ${hands} of skin, where 12 is the most that makes sense.`;
    case 'further':
      return `Further than needed: ${hands} against ${formatCost(rejection.cheapest ?? 0)} for the nearest way out.`;
    case 'not-chosen':
      return `Lawful, ${hands}, but another way was chosen.`;
    case 'other-side-in-focus':
      return `Across the middle line, and ${theLabel(anatomy, rejection.to)} already have their own side’s fluid to take.`;
    default:
      return assertNever(cause);
  }
}
