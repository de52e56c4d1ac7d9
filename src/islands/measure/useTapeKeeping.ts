import type { Answer, BodyOf } from '../../contracts/routes/asking';
import type { FlagView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import type { VisitId } from '../../core/ids';
import { formatNumber } from '../../core/units';
import { send } from '../api';
import type { Comparison, Facts } from '../saving/SaveLine';
import { versioned } from '../saving/sending';
import { useSaving } from '../saving/use-saving';
import type { Tape } from './tape';
import { measureWords } from './measure.words';

type Input = BodyOf<'POST /api/visits/{id}/taping'>;
export type TapingBody = Omit<Input, 'basedOn'>;
type Saved = Answer<'POST /api/visits/{id}/taping'>;

/**
 * The tape of one limb on its way to the house, each number as it is typed. What an earlier page could not send is
 * handed to `onLeft`, and sent.
 */
export function useTapeKeeping({
  visitId,
  name,
  savedVersion,
  toInput,
  onLeft,
  onTheirs,
  onFlags,
}: {
  readonly visitId: VisitId;
  /** Limb, side and phase. */
  readonly name: string;
  /** Version on record when the page was made; 0 for none. */
  readonly savedVersion: number;
  readonly toInput: (tape: Tape) => TapingBody;
  readonly onLeft: (tape: Tape) => void;
  readonly onTheirs: (saved: TapingView | undefined) => void;
  readonly onFlags: (flags: readonly FlagView[]) => void;
}) {
  const params = { id: visitId };
  const saving = useSaving<Tape, Saved>(`visit ${visitId} tape ${name}`, {
    version: savedVersion,
    versionOf: ({ taping }) => taping.version,
    onSaved: (_, { flags }) => onFlags(flags),
    onLeft: (drafts) => {
      const tape = drafts.at(-1)?.body.shown;
      if (tape) onLeft(tape);
    },
  });
  const keep = (tape: Tape) =>
    saving.queue.add('tape', versioned('POST /api/visits/{id}/taping', params, toInput(tape), tape));
  const compare: Comparison<Tape> = {
    mine: ({ body }) => factsOf(body as TapingBody),
    theirs: async () => {
      const { tapings } = await send('GET /api/visits/{id}/measure', { params });
      const mine = saving.queue.status().conflict?.draft.body.body as TapingBody | undefined;
      const saved = tapings.find(({ phase, limb }) => phase === mine?.phase && limb === mine.limb);
      return {
        ...{
          version: saved?.version ?? 0,
          facts: saved ? factsOf({ ...saved, affected: saved.first.affected, reference: saved.first.reference }) : {},
        },
        take: () => onTheirs(saved),
      };
    },
  };
  return { saving, compare, keep };
}

type Girths = Pick<TapingView, 'positions' | 'affected' | 'reference' | 'unit'>;

/** Each point with its girths, in words. */
function factsOf({ positions, affected, reference, unit }: Pick<TapingBody, keyof Girths>): Facts {
  const girths = (list: readonly (number | null)[] | undefined, side: string) =>
    positions.map((at, i) => {
      const girth = list?.[i] ?? null;
      return [`${side}, ${formatNumber(at)} ${unit}`, girth === null ? '' : `${formatNumber(girth)} ${unit}`] as const;
    });
  return Object.fromEntries([
    ...girths(affected, measureWords.swollenSide),
    ...girths(reference, measureWords.otherSide),
  ]);
}
