import { measureWords } from './measure.words';
import { type KeyboardEvent, useEffect, useMemo, useState } from 'react';
import { Button } from '../../ui/button/Button';
import styles from './ButtonTapePanel.module.css';
import { simulateTape } from './button-tape';

interface Props {
  readonly onGirthCm: (cm: number) => void;
  readonly onClose: () => void;
}

/** The simulated tape with a button: each press goes to the point at hand. */
export function ButtonTapePanel({ onGirthCm, onClose }: Props) {
  const tape = useMemo(() => simulateTape(), []);
  const [shown, setShown] = useState('');
  const [fault, setFault] = useState<string>();
  useEffect(
    () =>
      tape.listen((reading) => {
        setFault(reading.kind === 'fault' ? reading.words : undefined);
        if (reading.kind === 'girth') onGirthCm(reading.cm);
      }),
    [onGirthCm, tape],
  );
  const press = () => {
    tape.press(shown);
    setShown('');
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    press();
  };
  return (
    <section className={styles['panel']} aria-label={measureWords.tapeWithAButtonSimulated}>
      <p>
        <strong>{measureWords.tapeWithAButton}</strong> {measureWords.simulatedItsWindowShows}
      </p>
      <input
        aria-label={measureWords.whatTheTapeShowsInCm}
        value={shown}
        onChange={(event) => setShown(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <span>{measureWords.cm}</span>
      <Button onClick={press}>{measureWords.pressItsButton}</Button>
      <Button look="link" onClick={onClose}>
        {measureWords.putItAway}
      </Button>
      {fault && <em role="alert">{fault}</em>}
    </section>
  );
}
