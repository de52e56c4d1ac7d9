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
    <div className={styles['card']} role="group" aria-label={`Way to the ${name}`}>
      <p role="status">
        <strong>{capitalise(name)}</strong> {candidate.chosen ? 'in use' : 'not in use'}: about{' '}
        {formatCost(candidate.cost)} {candidate.cost === 1 ? 'hand’s width' : 'hand’s widths'} of skin,{' '}
        {candidate.crosses.length === 0 ? 'no scar on the way' : `across ${candidate.crosses.length} scars`},{' '}
        {candidate.minutes} min.
      </p>
      {act === 'use' && (
        <Button look="filled" onClick={() => ways.use(to)}>
          Use it, too
        </Button>
      )}
      {act === 'leave' && <Button onClick={() => ways.leave(to)}>Do without it</Button>}
      {act === 'none' && <span>the only way left</span>}
      <Button look="link" onClick={onClose}>
        Close
      </Button>
    </div>
  );
}
