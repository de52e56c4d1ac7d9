import type { Celsius } from '../../core/quantities';
import type { BathView } from '../../contracts/stone-views';
import type { BathDeviceInput } from '../../contracts/stones';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { send } from '../api';
import { BathReading } from '../bench/BathReading';
import { bathQuery, useBath } from '../bench/useBath';
import styles from './Devices.module.css';
import { devicesWords } from './devices.words';

interface Props {
  readonly first: BathView;
  /** So many go in at once. */
  readonly stones: number;
  /** What the house sets it to. */
  readonly usualC: Celsius;
}

const everyMs = 2000;

/** The simulated bath: what its thermometer says, and all that can happen to it. */
export function BathStandIn({ first, stones, usualC }: Props) {
  const { bath = first, setBath, isLost, setIsLost } = useBath(null, everyMs, first);
  const drive = (change: BathDeviceInput) =>
    void send('POST /api/devices/stone-bath', { ...bathQuery(null), body: change })
      .then(setBath)
      .catch(() => setIsLost(true));
  const { device } = bath;
  return (
    <>
      <BathReading bath={bath} isLost={isLost} wantedC={null} />
      <div className={styles['drive']}>
        <Button onClick={() => drive({ isOn: !device.isOn, setC: usualC })}>
          {device.isOn ? devicesWords.switchOff : devicesWords.switchOn}
        </Button>
        <Button onClick={() => drive({ stones: device.stones > 0 ? 0 : stones })}>
          {device.stones > 0 ? devicesWords.takeStonesOut : devicesWords.putStonesIn}
        </Button>
        {device.isOn && device.setC !== usualC && (
          <Button onClick={() => drive({ setC: usualC })}>{devicesWords.setTo(usualC)}</Button>
        )}
        <Button onClick={() => drive({ skipS: 600 })}>{devicesWords.tenMinutesLater}</Button>
        <Choice
          label={devicesWords.fault}
          options={[
            { value: 'none', text: devicesWords.none },
            { value: 'drift', text: devicesWords.drifts },
            { value: 'text', text: devicesWords.saysText },
            { value: 'nan', text: devicesWords.saysNan },
            { value: 'stops', text: devicesWords.stops },
          ]}
          value={device.fault}
          onChange={(fault) => drive({ fault })}
        />
      </div>
    </>
  );
}
