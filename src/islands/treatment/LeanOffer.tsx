import type { LeanView, TreatmentView } from '../../contracts/treatment-views';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import styles from './TreatmentPlan.module.css';
import { treatmentWords } from './treatment.words';

interface Props {
  readonly lean: LeanView;
  readonly onAnswer: (leanTo: NonNullable<TreatmentView['wish']['leanTo']>) => void;
}

/** One side was tighter at earlier visits: it may begin and get more of the same time. Taken or refused by one press. */
export function LeanOffer({ lean, onAnswer }: Props) {
  const { side, found, answer, movedSeconds, beginsThere } = lean;
  if (answer === 'refused') return null;
  const isTaken = answer === 'taken';
  return (
    <p className={styles['notice']} role="note">
      {found}.{' '}
      {isTaken ? (
        <>
          {beginsThere && treatmentWords.itBeginsOnThe(side)}{' '}
          {movedSeconds > 0
            ? treatmentWords.moreForThe(side, formatClock(movedSeconds))
            : treatmentWords.noMinutesToMove}
        </>
      ) : (
        treatmentWords.leanToThe(side)
      )}{' '}
      {!isTaken && (
        <Button look="link" onClick={() => onAnswer(side)}>
          {treatmentWords.moreOnThe(side)}
        </Button>
      )}{' '}
      <Button look="link" onClick={() => onAnswer('neither')}>
        {treatmentWords.bothSidesAlike}
      </Button>
    </p>
  );
}
