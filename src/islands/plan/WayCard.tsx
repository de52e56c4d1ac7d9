import { planWords } from './plan.words';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import { formatCost } from '../../core/drainage/wording';
import { shortLabel } from '../../core/anatomy/place-labels';
import { Button } from '../../ui/button/Button';
import type { Ways } from './ways';
import styles from './WayCard.module.css';
import { capitalise } from '../../core/wording/capitalise';

interface Props {
  readonly to: PlaceId;
  readonly ways: Ways;
  readonly onClose: () => void;
}

/** The node group that was pressed on the body: what a way to it costs, and whether it is used. */
export function WayCard({ to, ways, onClose }: Props) {
  const choice = ways.at(to);
  if (!choice) return null;
  const { candidate, act } = choice;
  const name = shortLabel(anatomy, to);
  return (
    <div className={styles['card']} role="group" aria-label={planWords.wayToThe(name)}>
      <p role="status">
        <strong>{capitalise(name)}</strong> {candidate.chosen ? planWords.inUse : planWords.notInUse}
        {planWords.about} {formatCost(candidate.cost)}{' '}
        {candidate.cost === 1 ? planWords.handsWidth : planWords.handsWidths} {planWords.ofSkin}{' '}
        {candidate.crosses.length === 0 ? planWords.noScarOnTheWay : planWords.acrossScars(candidate.crosses.length)},{' '}
        {candidate.minutes} {planWords.min}
      </p>
      {act === 'use' && (
        <Button look="filled" onClick={() => ways.use(to)}>
          {planWords.useItToo}
        </Button>
      )}
      {act === 'leave' && <Button onClick={() => ways.leave(to)}>{planWords.doWithoutIt}</Button>}
      {act === 'none' && <span>{planWords.theOnlyWayLeft}</span>}
      <Button look="link" onClick={onClose}>
        {planWords.close}
      </Button>
    </div>
  );
}
