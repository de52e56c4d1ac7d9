import { type Anatomy, mirrorOf, type PlaceId } from '../anatomy/place';
import { bareLabel, shortLabel } from '../anatomy/place-labels';
import type { JudgementReason, TrainingNeed } from './reasons';
import { assertNever } from '../result';
import type { ScreeningBook } from '../screening/book';
import { needsInWords } from '../screening/scope';
import { type LimitKey, rankOf } from '../screening/tables';

/** What sentences are made with. */
export interface JudgementNames {
  readonly anatomy: Anatomy;
  readonly book: ScreeningBook;
}

const trainings: Readonly<Record<TrainingNeed, string>> = {
  'manual-medicine': 'Only with a licence in manual medicine.',
  'inside-mouth': 'Only with training in gloved work inside the mouth.',
  'clinical-aromatherapy': 'Only with training in clinical aromatherapy.',
  advanced: 'Only for those trained in it.',
};

const heads: Readonly<Partial<Record<LimitKey, string>>> = {
  noHeat: 'No heat here',
  noCold: 'Nothing cool here',
  noOil: 'No oil',
  avoidPosition: 'Not lying so',
  maxPressure: 'Lighter',
  spineDirection: 'From the skull down',
};

const times = (count: number) => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

/** The sentence that a therapist reads: why something is left out or changed. */
export function reasonInWords({ anatomy, book }: JudgementNames, reason: JudgementReason): string {
  switch (reason.kind) {
    case 'finding':
      return whyOf(book, reason.rule, reason.modality) ?? 'Screening does not allow it.';
    case 'limit': {
      const head = heads[reason.limit];
      const why = whyOf(book, reason.rule, reason.modality, reason.limit);
      if (why === undefined)
        return head ? `${head}: this kind of work always keeps to that.` : 'Always left out in this work.';
      return head ? `${head}: ${why}` : why;
    }
    case 'closed-group': {
      const causes = { removed: 'Nodes removed', irradiated: 'Irradiated', wound: 'Open wound' } as const;
      return `${causes[reason.cause]}: no stroke goes to the ${shortLabel(anatomy, reason.group)}.`;
    }
    case 'no-way-round':
      return 'Its node group is closed; leading fluid round it needs the lymphoedema qualification.';
    case 'led-round':
      return 'Led round: its own node group is closed.';
    case 'margin':
      return reason.cm <= 5
        ? 'Too near to the marked place: kept off.'
        : `Within ${reason.cm} cm of the marked place: kept off, with what lies beside it.`;
    case 'training':
      return trainings[reason.need];
    case 'qualification':
      return needsInWords(reason.missing, book.qualifications);
    case 'frequency':
      return `Given ${times(reason.times)} in the last seven days: not more often.`;
    case 'gap':
      return `Given less than ${reason.hours} hours ago: it needs that long to settle.`;
    case 'irritated':
      switch (reason.rule) {
        case 'redness':
          return `Redness ${reason.grade} of 4 there today: nothing that stimulates the skin.`;
        case 'bruising':
          return 'Bruised there today: nothing that stimulates the skin.';
        case 'reactive-skin':
          return 'Skin that reacts: nothing that stimulates it on the face.';
        default:
          return assertNever(reason);
      }
    case 'minutes':
      return `Screening allows ${reason.minutes} minutes of this kind of work.`;
    case 'out-of-reach':
      return 'Out of reach alone.';
    case 'no-time':
      return 'Does not fit in the time.';
    case 'nothing-to-drain':
      return 'There is nothing to drain for this focus.';
    default:
      return assertNever(reason);
  }
}

/** What the tables say of an effect: of those on that kind of work the one that sets the limit, else the worst. */
function whyOf(book: ScreeningBook, rule: string, modality: string, limit?: LimitKey): string | undefined {
  const owner = book.conditions.get(rule) ?? book.rules.find(({ id }) => id === rule);
  if (!owner) return undefined;
  const effects = book.effectsOn(modality, owner);
  const setting = limit === undefined ? undefined : effects.find(({ limits }) => limits?.[limit] !== undefined);
  return (setting ?? [...effects].sort((a, b) => rankOf(b.decision) - rankOf(a.decision))[0])?.why;
}

const mostNamed = 4;

/** Places in a few words, side first: `left armpit nodes, left shoulder cap and 3 more`. */
export function placesInWords(anatomy: Anatomy, places: readonly PlaceId[]): string {
  const both = new Set(places);
  const named = new Set(
    places.map((place) => {
      const other = mirrorOf(place);
      return other !== place && both.has(other)
        ? `${bareLabel(anatomy, place)}, both sides`
        : shortLabel(anatomy, place);
    }),
  );
  const list = [...named];
  const shown = list.slice(0, mostNamed).join('; ');
  return list.length > mostNamed ? `${shown} and ${list.length - mostNamed} more` : shown;
}

/** What a step that was changed says at the table: short, naming the change and never an illness. */
export function cautionInWords(names: JudgementNames, reason: JudgementReason): string {
  if (reason.kind === 'limit' && reason.limit === 'maxPressure') return 'Lighter than usual today.';
  if (reason.kind === 'limit' && reason.limit === 'spineDirection') return 'From the skull down today.';
  if (reason.kind === 'closed-group') return 'Ends at the root of the limb, feather light.';
  return reasonInWords(names, reason);
}
