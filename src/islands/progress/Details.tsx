import type { ReactNode } from 'react';
import type { ProgressDetails } from '../../contracts/progress-views';
import type { ClientId } from '../../core/ids';
import { Button } from '../../ui/button/Button';
import type { Asked } from '../asked';
import { ChangesOverVisits } from '../changes/ChangesOverVisits';
import { Pairs } from '../pictures/Pairs';
import { Earned } from '../together/Earned';
import { SeenFigures } from './FiguresTable';
import { progressWords } from './progress.words';
import { Remembered } from './Remembered';
import styles from './ProgressView.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly details: ProgressDetails;
  /** What stands between what hands found and what was seen. */
  readonly children?: ReactNode;
}

/** What was measured before and after, found by hands and seen, over the visits. */
export function Details({ clientId, details, children }: Props) {
  return (
    <>
      <ChangesOverVisits changes={details.changes} />
      <Pairs clientId={clientId} pictures={details.pictures} />
      <Earned earned={details.earned} />
      <Remembered remembered={details.remembered} />
      {children}
      {details.seen.rows.length > 0 && <SeenFigures seen={details.seen} />}
    </>
  );
}

/** The same while it is on its way, and where it does not come. */
export function AskedDetails({
  clientId,
  asked,
  children,
}: Omit<Props, 'details'> & {
  readonly asked: Asked<ProgressDetails>;
}) {
  if (asked.answer)
    return (
      <Details clientId={clientId} details={asked.answer}>
        {children}
      </Details>
    );
  return (
    <>
      {asked.state === 'failed' ? (
        <p role="alert">
          {asked.trouble}{' '}
          <Button look="link" onClick={asked.again}>
            {progressWords.askAgain}
          </Button>
        </p>
      ) : (
        <p role="status" aria-busy="true" className={styles['soft']}>
          {progressWords.lookingThroughTheVisits}
        </p>
      )}
      {children}
    </>
  );
}
