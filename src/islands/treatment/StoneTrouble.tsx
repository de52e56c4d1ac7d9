import type { StoneNote } from '../../contracts/treatment-views';
import { Button } from '../../ui/button/Button';
import { treatmentWords } from './treatment.words';
import styles from './StoneTrouble.module.css';

interface Props {
  readonly stones: readonly StoneNote[];
  /** Takes other stones for steps, by their ids. */
  readonly onTake: (stones: StoneNote['ways'][number]['stones']) => void;
}

/** Which stones stand in for others, what is still wrong, and what mends it: one press where other stones are enough. */
export function StoneTrouble({ stones, onTake }: Props) {
  const told = stones.filter(
    ({ trouble, standIns, spared = [] }) => trouble.length + standIns.length + spared.length > 0,
  );
  if (told.length === 0) return null;
  const isShort = told.some(({ trouble }) => trouble.length > 0);
  return (
    <section
      className={styles['trouble']}
      data-short={isShort || undefined}
      aria-label={isShort ? treatmentWords.stonesAreShort : treatmentWords.stonesStandIn}
    >
      {told.map(({ isCold, trouble, standIns, spared = [], ways }) => (
        <div key={String(isCold)}>
          {[...trouble, ...standIns, ...spared].map((words) => (
            <p key={words}>{words}</p>
          ))}
          <ul>
            {ways.map(({ words, stones: changes }) => (
              <li key={words}>
                {Object.keys(changes).length > 0 ? <Button onClick={() => onTake(changes)}>{words}</Button> : words}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
