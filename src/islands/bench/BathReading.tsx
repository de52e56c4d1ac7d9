import type { BathView } from '../../contracts/stone-views';
import type { Celsius } from '../../core/quantities';
import { benchWords } from './bench.words';
import styles from './BathReading.module.css';
import { useBath } from './useBath';

interface Props {
  readonly bath: BathView;
  /** The house’s computer does not answer: nothing is known of the bath. */
  readonly isLost: boolean;
  /** What the visit or the day asks for; null where nothing does. */
  readonly wantedC: Celsius | null;
}

const badStates: readonly string[] = ['silent', 'unreadable', 'too-hot', 'drifting', 'off'];
const everyMs = 2000;

/** What the bath’s thermometer says, and what to make of it. */
export function BathReading({ bath: { reading, device }, isLost, wantedC }: Props) {
  const isBad = isLost || badStates.includes(reading.state);
  return (
    <section className={styles['bath']} aria-label={benchWords.bath} data-bad={isBad || undefined}>
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
    </section>
  );
}

/** The same as a stream. */
export function BathNow({ first, wantedC }: { readonly first: BathView; readonly wantedC: Celsius | null }) {
  const { bath = first, isLost } = useBath(wantedC, everyMs, first);
  return <BathReading bath={bath} isLost={isLost} wantedC={wantedC} />;
}
