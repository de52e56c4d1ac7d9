import type { TreatmentView } from '../../contracts/treatment-views';
import { leftOn, tightestOf } from '../../core/oils/skin-balance';
import { type Dropped, dropsByOil } from '../../core/table/dropped';
import type { ToldStep } from '../../core/table/table-step';
import { tableWords } from './table.words';

interface Props {
  readonly wanted: NonNullable<ToldStep['dropped']>;
  readonly layers: NonNullable<TreatmentView['layers']>;
  readonly dropped: readonly Dropped[];
}

/** Beside the number of drops that fell: of how many, and what this skin may still have of the oil today. */
export function DropCount({ wanted, layers: { balance }, dropped }: Props) {
  const counted = dropsByOil(dropped);
  const left = leftOn(balance, counted, wanted.oil);
  return (
    <>
      <span>{tableWords.ofDrops(wanted.drops, wanted.name)}</span>
      <em role="status" data-full={left === 0 || undefined}>
        {left === null
          ? tableWords.noLimitIsKnownOfIt
          : left === 0
            ? tableWords.noMoreToday(tightestOf(balance, counted, wanted.oil)?.of ?? wanted.name)
            : tableWords.mayHaveToday(left)}
      </em>
    </>
  );
}
