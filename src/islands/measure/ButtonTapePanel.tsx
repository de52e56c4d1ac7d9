import { useEffect, useEffectEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { simulatedTape } from './button-tape';
import styles from './ButtonTapePanel.module.css';
import { measureWords } from './measure.words';

interface Props {
  readonly onGirthCm: (cm: number) => void;
  readonly onClose: () => void;
}

/** Listens to the tape with a button: each press goes to the point at hand. */
export function ButtonTapePanel({ onGirthCm, onClose }: Props) {
  const [fault, setFault] = useState<string>();
  const [lastCm, setLastCm] = useState<number>();
  // The point at hand is another after each press; the line to the tape stays open meanwhile.
  const take = useEffectEvent((cm: number) => {
    setLastCm(cm);
    onGirthCm(cm);
  });
  useEffect(
    () =>
      simulatedTape.listen((reading) => {
        setFault(reading.kind === 'fault' ? reading.words : undefined);
        if (reading.kind === 'girth') take(reading.cm);
      }),
    [],
  );
  return (
    <section className={styles['panel']} aria-label={measureWords.tapeWithAButton}>
      <p role="status">
        <strong>{measureWords.tapeWithAButton}</strong>{' '}
        {lastCm === undefined ? measureWords.itListens : measureWords.lastItSent(lastCm)}
      </p>
      <Button look="link" onClick={onClose}>
        {measureWords.putItAway}
      </Button>
      {fault && <em role="alert">{fault}</em>}
    </section>
  );
}
