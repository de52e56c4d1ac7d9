import { oilsWords } from './oils.words';
import type { Drops } from '../../core/quantities';
import type { OilId } from '../../core/ids';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import { dropsText } from '../../core/oils/finding-words';
import { candidateOf } from '../../core/oils/shortlist';
import { substitutesFor } from '../../core/oils/substitute';
import { Dialog } from '../../ui/dialog/Dialog';
import styles from './Oils.module.css';
import { useBench } from './bench-context';

interface Props {
  readonly oil: OilId;
  readonly onClose: () => void;
}

const mostShown = 6;

/** Oils of the shelf that can stand in for one that is out, with as many drops as smell as strong and are safe. */
export function StandIn({ oil, onClose }: Props) {
  const { blend, client, usable, takeParts } = useBench();
  const input = { ...blend, client, basis: 'max' as const };
  const choices = substitutesFor(
    oilBook,
    input,
    oil,
    usable.map((entry) => candidateOf(oilBook, entry)),
  );
  const take = (next: string, drops: Drops) => {
    const dropsPerMl = usable.find((entry) => entry.oil === next)?.dropsPerMl ?? undefined;
    takeParts(blend.parts.map((part) => (part.oil === oil ? { oil: next, drops, dropsPerMl } : part)));
    onClose();
  };
  return (
    <Dialog title={oilsWords.insteadOf(oilOf(oilBook, oil).name.toLowerCase())} isOpen onClose={onClose}>
      {choices.length === 0 ? (
        <p>{oilsWords.nothingOnTheShelfComesClose}</p>
      ) : (
        <ul className={styles['carriers']}>
          {choices.slice(0, mostShown).map((choice) => (
            <li key={choice.oil}>
              <button type="button" onClick={() => take(choice.oil, choice.drops)}>
                <strong>{oilOf(oilBook, choice.oil).name}</strong>
                <em>{dropsText(choice.drops)}</em>
                <span>{choice.why.join(' · ')}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </Dialog>
  );
}
