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
    <section className={styles['panel']} aria-label="Tape with a button, simulated">
      <p>
        <strong>Tape with a button</strong> (simulated): its window shows
      </p>
      <input
        aria-label="What the tape shows, in cm"
        value={shown}
        onChange={(event) => setShown(event.target.value)}
        onKeyDown={onKeyDown}
      />
      <span>cm</span>
      <Button onClick={press}>Press its button</Button>
      <Button look="link" onClick={onClose}>
        Put it away
      </Button>
      {fault && <em role="alert">{fault}</em>}
    </section>
  );
}
