import { oilsWords } from './oils.words';
import type { Minutes } from '../../core/quantities';
import type { CarrierChoice } from '../../core/oils/carrier';
import { Dialog } from '../../ui/dialog/Dialog';
import styles from './Oils.module.css';

interface Props {
  readonly choices: readonly CarrierChoice[];
  readonly now: string;
  readonly minutes: Minutes;
  readonly onClose: () => void;
  readonly onChoose: (carrier: string) => void;
}

/** Carriers from the most suited on, each with what speaks for it. */
export function CarrierDialog({ choices, now, minutes, onClose, onChoose }: Props) {
  return (
    <Dialog title={oilsWords.whatToMixItIntoFor(minutes)} isOpen onClose={onClose} size="wide">
      <ul className={styles['carriers']}>
        {choices.map(({ carrier, against, why }) => (
          <li key={carrier.id}>
            <button
              type="button"
              disabled={against.length > 0}
              aria-pressed={carrier.id === now}
              onClick={() => onChoose(carrier.id)}
            >
              <strong>{carrier.name}</strong>
              <em>{carrier.latin}</em>
              <span>{against.length > 0 ? against.join('; ') : why.join(' · ')}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
