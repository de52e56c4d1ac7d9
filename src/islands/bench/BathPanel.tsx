import { benchWords } from './bench.words';
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
    <section className={styles['bath']} aria-label={benchWords.bath} data-bad={isBad || undefined}>
      <div>
        <strong>{isLost || reading.bathC === null ? '–' : `${reading.bathC.toFixed(1)}°`}</strong>
        <p role="status">
          {device.isOn ? benchWords.setTo(device.setC) : benchWords.off}
          {wantedC !== null && wantedC !== device.setC ? benchWords.isWanted(wantedC) : ''}
          {reading.perMinuteC !== null && Math.abs(reading.perMinuteC) >= 0.05
            ? benchWords.aMinute(reading.perMinuteC > 0 ? 'rising' : 'falling', Math.abs(reading.perMinuteC).toFixed(1))
            : ''}
          <br />
          <b>{isLost ? benchWords.theHousesComputerDoesNotAnswer : reading.words}</b>
        </p>
      </div>
      <details open={isOpen} onToggle={(event) => setIsOpen(event.currentTarget.open)}>
        <summary>{benchWords.simulatedBath}</summary>
        <div className={styles['drive']}>
          <Button onClick={() => drive({ isOn: !device.isOn, setC: aimC })}>
            {device.isOn ? benchWords.switchOff : benchWords.switchOn}
          </Button>
          <Button onClick={() => drive({ stones: device.stones > 0 ? 0 : stones })}>
            {device.stones > 0 ? benchWords.takeStonesOut : benchWords.putStonesIn}
          </Button>
          {device.isOn && device.setC !== aimC && (
            <Button onClick={() => drive({ setC: aimC })}>{benchWords.setTo2(aimC)}</Button>
          )}
          <Button onClick={() => drive({ skipS: 600 })}>{benchWords.tenMinutesLater}</Button>
          <Choice
            label={benchWords.fault}
            options={[
              { value: 'none', text: benchWords.none },
              { value: 'drift', text: benchWords.drifts },
              { value: 'text', text: benchWords.saysText },
              { value: 'nan', text: benchWords.saysNan },
              { value: 'stops', text: benchWords.stops },
            ]}
            value={device.fault}
            onChange={(fault) => drive({ fault })}
          />
        </div>
      </details>
    </section>
  );
}
