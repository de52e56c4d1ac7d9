import type { Celsius } from '../../core/quantities';
import { useState } from 'react';
import type { BathView } from '../../contracts/stone-views';
import type { BathDeviceInput } from '../../contracts/stones';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { send } from '../api';
import styles from './BathPanel.module.css';
import { bathQuery, useBath } from './useBath';

const everyMs = 2000;

/** The bath’s thermometer as a stream, and what to make of it; the stand-in is driven below. */
export function BathPanel({
  first,
  stones,
  wantedC,
  usualC,
}: {
  readonly first: BathView;
  readonly stones: number;
  /** What the visit or the day asks for; null where nothing does. */
  readonly wantedC: Celsius | null;
  /** What the house sets it to otherwise. */
  readonly usualC: Celsius;
}) {
  const { bath = first, setBath, isLost, setIsLost } = useBath(wantedC, everyMs, first);
  const [isOpen, setIsOpen] = useState(false);
  const drive = (change: BathDeviceInput) =>
    void send('POST /api/devices/stone-bath', { ...bathQuery(wantedC), body: change })
      .then(setBath)
      .catch(() => setIsLost(true));
  const { reading, device } = bath;
  const aimC = wantedC ?? usualC;
  const isBad = isLost || ['silent', 'unreadable', 'too-hot', 'drifting', 'off'].includes(reading.state);
  return (
    <section className={styles['bath']} aria-label="Bath" data-bad={isBad || undefined}>
      <div>
        <strong>{isLost || reading.bathC === null ? '–' : `${reading.bathC.toFixed(1)}°`}</strong>
        <p role="status">
          {device.isOn ? `set to ${device.setC}°` : 'off'}
          {wantedC !== null && wantedC !== device.setC ? ` · ${wantedC}° is wanted` : ''}
          {reading.perMinuteC !== null && Math.abs(reading.perMinuteC) >= 0.05
            ? ` · ${reading.perMinuteC > 0 ? 'rising' : 'falling'} ${Math.abs(reading.perMinuteC).toFixed(1)}° a minute`
            : ''}
          <br />
          <b>{isLost ? 'The house’s computer does not answer: measure by hand.' : reading.words}</b>
        </p>
      </div>
      <details open={isOpen} onToggle={(event) => setIsOpen(event.currentTarget.open)}>
        <summary>Simulated bath</summary>
        <div className={styles['drive']}>
          <Button onClick={() => drive({ isOn: !device.isOn, setC: aimC })}>
            {device.isOn ? 'Switch off' : 'Switch on'}
          </Button>
          <Button onClick={() => drive({ stones: device.stones > 0 ? 0 : stones })}>
            {device.stones > 0 ? 'Take stones out' : 'Put stones in'}
          </Button>
          {device.isOn && device.setC !== aimC && <Button onClick={() => drive({ setC: aimC })}>Set to {aimC}°</Button>}
          <Button onClick={() => drive({ skipS: 600 })}>Ten minutes later</Button>
          <Choice
            label="Fault"
            options={[
              { value: 'none', text: 'none' },
              { value: 'drift', text: 'drifts' },
              { value: 'text', text: 'says text' },
              { value: 'nan', text: 'says NaN' },
              { value: 'stops', text: 'stops' },
            ]}
            value={device.fault}
            onChange={(fault) => drive({ fault })}
          />
        </div>
      </details>
    </section>
  );
}
