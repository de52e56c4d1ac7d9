import { tableWords } from './table.words';
import { type MouseEvent, useRef } from 'react';
import styles from './Zones.module.css';
import { bounceMs } from '../../ui/shortcuts/keyboard';

interface Props {
  readonly onNext: () => void;
  readonly onBack: () => void;
  readonly nextName: string;
  readonly backName: string;
}

/** Two halves of the screen that an elbow or the back of a hand cannot miss: the words go on, the body goes back. */
export function Zones({ onNext, onBack, nextName, backName }: Props) {
  const last = useRef(-Infinity);
  const press = ({ timeStamp, currentTarget }: MouseEvent<HTMLElement>, act: () => void) => {
    currentTarget.blur();
    if (timeStamp - last.current < bounceMs) return;
    last.current = timeStamp;
    act();
  };
  return (
    <>
      <button
        type="button"
        tabIndex={-1}
        className={styles['zoneBack']}
        aria-label={tableWords.touchTheBody(backName)}
        onClick={(event) => press(event, onBack)}
      >
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <path d="M15 4 8 12l7 8" />
        </svg>
      </button>
      <button
        type="button"
        tabIndex={-1}
        className={styles['zoneNext']}
        aria-label={tableWords.touchTheWords(nextName)}
        onClick={(event) => press(event, onNext)}
      >
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <path d="m9 4 7 8-7 8" />
        </svg>
      </button>
    </>
  );
}
