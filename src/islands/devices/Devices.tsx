import type { Celsius } from '../../core/quantities';
import { useEffect, useMemo, useState } from 'react';
import type { BathView } from '../../contracts/stone-views';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { BathPanel } from '../bench/BathPanel';
import { BenchNav } from '../bench/BenchNav';
import { simulateTape, type TapeReading } from '../measure/button-tape';
import { useScale } from '../oils/useScale';
import styles from './Devices.module.css';
import { FootPanel } from './FootPanel';

interface Props {
  readonly bath: BathView;
  readonly usualBathC: Celsius;
  /** Messages that are due or went wrong. */
  readonly outbox: { readonly due: number; readonly failed: number };
}

/** Every device in one place, each with a panel to drive its stand-in by hand. */
export function Devices({ bath, usualBathC, outbox }: Props) {
  return (
    <>
      <header className={styles['head']}>
        <h1>Devices</h1>
        <p>All simulated: a house connects its own behind the same small interfaces.</p>
        <div>
          <BenchNav here="devices" visitId={null} />
        </div>
      </header>
      <main id="main" className={styles['view']}>
        <FootPanel />
        <section className={styles['device']} aria-label="Stone bath with thermometer">
          <h2>Stone bath</h2>
          <BathPanel first={bath} stones={12} wantedC={null} usualC={usualBathC} />
        </section>
        <TapePanel />
        <ScalePanel />
        <section className={styles['device']} aria-label="Outbox of reminders">
          <h2>Outbox</h2>
          <p className={styles['state']}>
            {outbox.due === 0 ? 'nothing is due' : `${outbox.due} due`}
            {outbox.failed > 0 && `, ${outbox.failed} not delivered`}
          </p>
          <p className={styles['soft']}>
            Stands in for a message service: nothing leaves the house; a message that is not delivered stays open.
          </p>
          <a href="/outbox">Play the message service</a>
        </section>
      </main>
    </>
  );
}

/** Tries the tape: what it would send, and how that is taken. At the tape run B opens the same tape. */
function TapePanel() {
  const tape = useMemo(() => simulateTape(), []);
  const [shown, setShown] = useState('34.5');
  const [reading, setReading] = useState<TapeReading>();
  useEffect(() => tape.listen(setReading), [tape]);
  return (
    <section className={styles['device']} aria-label="Tape with a button">
      <h2>Tape with a button</h2>
      <p className={styles['state']} role="status">
        {reading === undefined
          ? 'not pressed yet'
          : reading.kind === 'girth'
            ? `it sent ${reading.cm} cm`
            : reading.words}
      </p>
      <p className={styles['soft']}>At the tape run, B opens it: each press fills the point at hand and goes on.</p>
      <div className={styles['drive']}>
        <Field label="Its window shows, cm" value={shown} onChange={(event) => setShown(event.target.value)} />
        <Button onClick={() => tape.press(shown)}>Press its button</Button>
        <Button onClick={() => tape.press('ERR 3')}>A fault</Button>
      </div>
    </section>
  );
}

function ScalePanel() {
  const { view, drive } = useScale(true);
  return (
    <section className={styles['device']} aria-label="Drop scale">
      <h2>Drop scale</h2>
      <p className={styles['state']} role="status">
        {view.words}
      </p>
      <p className={styles['soft']}>While a blend is mixed, G takes the count of drops from it.</p>
      <div className={styles['drive']}>
        <Button onClick={() => void drive({ drops: 1 })}>Let a drop fall</Button>
        <Button onClick={() => void drive({ tare: true })}>To zero</Button>
        <Button onClick={() => void drive({ isOn: !view.isOn })}>Switch it {view.isOn ? 'off' : 'on'}</Button>
      </div>
    </section>
  );
}
