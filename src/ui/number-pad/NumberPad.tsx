import { Delete } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import styles from './NumberPad.module.css';
import { numberPadWords } from './number-pad.words';
import { afterKey, type PadKey, writeInto } from './type-into';

interface Props {
  /** What the field that is written into is about: “36 cm, left”. */
  readonly title: string;
  /** What helps at this field. */
  readonly hint: string;
  /** The number of last time, for the key that takes it over. */
  readonly last: string | undefined;
}

const keys: readonly PadKey[] = ['7', '8', '9', 'back', '4', '5', '6', '1', '2', '3', '.', '0', '½'];

const coarse = '(pointer: coarse)';
const watch = (onChange: () => void) => {
  const query = window.matchMedia(coarse);
  query.addEventListener('change', onChange);
  return () => query.removeEventListener('change', onChange);
};

/** Whether fingers do the pointing here: then numbers are typed on our own pad, and the device's keyboard stays away. */
export const useTouch = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(coarse).matches,
    () => false,
  );

const fieldInHand = () => (document.activeElement instanceof HTMLInputElement ? document.activeElement : undefined);

/** Big keys for one number after the other, where fingers do the pointing; what is pressed goes into the field that has the focus. */
export function NumberPad({ title, hint, last }: Props) {
  const press = (key: PadKey) => {
    const field = fieldInHand();
    if (field) writeInto(field, afterKey(field, key));
  };
  const next = () =>
    fieldInHand()?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
  const same = () => {
    const field = fieldInHand();
    if (!field || last === undefined) return;
    writeInto(field, last);
    // The field has to have it before it is handed over.
    requestAnimationFrame(next);
  };
  return (
    // The finger on a key leaves the focus where the number goes.
    <div
      className={styles['pad']}
      role="group"
      aria-label={numberPadWords.pad}
      onPointerDown={(event) => event.preventDefault()}
      onMouseDown={(event) => event.preventDefault()}
    >
      <p className={styles['what']}>
        <strong>{title}</strong>
        <span>{hint}</span>
      </p>
      <div className={styles['keys']}>
        {keys.map((key) => (
          <button
            key={key}
            type="button"
            data-key={key}
            aria-label={key === 'back' ? numberPadWords.back : key === '½' ? numberPadWords.half : undefined}
            onClick={() => press(key)}
          >
            {key === 'back' ? <Delete size={24} aria-hidden="true" /> : key}
          </button>
        ))}
        <button
          type="button"
          data-key="same"
          disabled={last === undefined}
          aria-label={last === undefined ? undefined : numberPadWords.sameAs(last)}
          onClick={same}
        >
          {numberPadWords.same}
        </button>
        <button type="button" data-key="next" onClick={next}>
          {numberPadWords.next}
        </button>
      </div>
    </div>
  );
}
