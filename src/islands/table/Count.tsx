import { tableWords } from './table.words';
import type { Beat } from '../../core/table/progress';
import type { TableStep } from '../../core/table/table-step';
import { paceWords } from './pace';

/** Beside the number of the pace: of how many, at which place, and what the pace asks for. */
export function Count({
  step,
  beat,
  status,
}: {
  readonly step: TableStep;
  readonly beat: Beat;
  readonly status: string;
}) {
  return (
    <>
      <span>{step.told?.count === 'hold' ? tableWords.secondsLeft : `of ${step.repetitions}`}</span>
      {step.told?.rounds && step.told.rounds.length > 1 && (
        <span>
          {tableWords.place} {beat.placement} {tableWords.of} {step.told.rounds.length} ·{' '}
          {step.told.rounds[beat.placement - 1]}
        </span>
      )}
      {step.placements > 1 && <span>{tableWords.placeOf(beat.placement, step.placements)}</span>}
      <em>{paceWords(step, beat, status)}</em>
    </>
  );
}
