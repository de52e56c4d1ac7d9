import type { Minutes } from '../../core/quantities';
import type { TreatmentHolds } from '../../contracts/treatment';
import type { TreatmentOffers } from '../../contracts/treatment-views';

/** What a visit is booked for: `drainage`, something ready-made, or one protocol. */
export type Kind = 'drainage' | `ready:${string}` | `protocol:${string}`;

export interface BookedKind {
  /** Undefined: drainage by itself. */
  readonly holds: TreatmentHolds | undefined;
  readonly minutes: Minutes | undefined;
  /** Where to drain has to be said. */
  readonly isDrained: boolean;
  readonly hasHeat: boolean;
  /** Kinds of work in it, as the house calls them. */
  readonly modalities: readonly string[];
}

const plain = { isShort: false, fill: false, bothSides: false };

/** What a kind holds, as far as the house still has it. */
export function kindOf(offers: TreatmentOffers | undefined, kind: Kind): BookedKind {
  if (!offers || kind === 'drainage')
    return { holds: undefined, minutes: undefined, isDrained: true, hasHeat: false, modalities: ['lymph-drainage'] };
  const id = kind.slice(kind.indexOf(':') + 1);
  const ready = kind.startsWith('ready:') ? offers.ready.find((one) => one.id === id) : undefined;
  const holds = ready?.holds ?? { ...plain, choices: [{ id: 'c1', protocol: id }] };
  const protocols = offers.protocols.filter((one) => holds.choices.some(({ protocol }) => protocol === one.id));
  return {
    holds,
    minutes: ready?.minutes ?? protocols[0]?.minutes,
    isDrained: protocols.some(({ isPlanned }) => isPlanned),
    hasHeat: protocols.some(({ hasHeat }) => hasHeat),
    modalities: protocols.map(({ modality }) => modality),
  };
}
