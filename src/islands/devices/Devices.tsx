import { devicesWords } from './devices.words';
import type { Celsius } from '../../core/quantities';
import { useEffect, useState } from 'react';
import type { MailView } from '../../contracts/house-views';
import type { BathView } from '../../contracts/stone-views';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { BathStandIn } from './BathStandIn';
import { BenchNav } from '../bench/BenchNav';
import { openTapePanel, simulatedTape, type TapeReading } from '../measure/button-tape';
import { useScale } from '../oils/useScale';
import styles from './Devices.module.css';
import { EarPanel } from './EarPanel';
import { FootPanel } from './FootPanel';
import { OutboxPanel } from './OutboxPanel';

interface Props {
  readonly bath: BathView;
  readonly usualBathC: Celsius;
  /** The mail server that takes mails; null: the stand-in is in use. */
  readonly mail: MailView | null;
  /** Messages that are due or went wrong. */
  readonly outbox: { readonly due: number; readonly failed: number };
  /** The first reminder that waits. */
  readonly waiting?: { readonly id: number; readonly client: string } | undefined;
}

/** Every device in one place, each with a panel to drive its stand-in by hand. */
export function Devices({ bath, usualBathC, mail, outbox, waiting }: Props) {
  return (
    <>
      <header className={styles['head']}>
        <h1>{devicesWords.devices}</h1>
        <p>{devicesWords.allSimulatedAHouseConnectsIts}</p>
        <div>
          <BenchNav here="devices" visitId={null} />
        </div>
      </header>
      <main id="main" className={styles['view']}>
        <FootPanel />
        <EarPanel />
        <section className={styles['device']} aria-label={devicesWords.stoneBathWithThermometer}>
          <h2>{devicesWords.stoneBath}</h2>
          <BathStandIn first={bath} stones={12} usualC={usualBathC} />
        </section>
        <TapePanel />
        <ScalePanel />
        {mail ? <MailPanel mail={mail} /> : <OutboxPanel first={outbox} waiting={waiting} />}
      </main>
    </>
  );
}

/** Where a real mail server is connected there is nothing to drive. */
function MailPanel({ mail }: { readonly mail: MailView }) {
  return (
    <section className={styles['device']} aria-label={devicesWords.outboxOfReminders}>
      <h2>{devicesWords.outbox}</h2>
      <p className={styles['state']} role="status">
        {mail.trouble || devicesWords.connectedTo(mail.server)}
      </p>
      <p className={styles['soft']}>{devicesWords.mailsGoOutFrom(mail.from)}</p>
      <a href="/outbox">{devicesWords.seeTheReminders}</a>
    </section>
  );
}

/** Tries the tape: what it would send, and how that is taken. At the tape run, in another window, B listens to it. */
function TapePanel() {
  const [shown, setShown] = useState('34.5');
  const [reading, setReading] = useState<TapeReading>();
  useEffect(() => simulatedTape.listen(setReading), []);
  const press = (sent: string) => {
    const tape = openTapePanel();
    tape.press(sent);
    tape.close();
  };
  return (
    <section className={styles['device']} aria-label={devicesWords.tapeWithAButton}>
      <h2>{devicesWords.tapeWithAButton}</h2>
      <p className={styles['state']} role="status">
        {reading === undefined
          ? devicesWords.notPressedYet
          : reading.kind === 'girth'
            ? devicesWords.itSentCm(reading.cm)
            : reading.words}
      </p>
      <p className={styles['soft']}>{devicesWords.atTheTapeRunBOpens}</p>
      <div className={styles['drive']}>
        <Field label={devicesWords.itsWindowShowsCm} value={shown} onChange={(event) => setShown(event.target.value)} />
        <Button onClick={() => press(shown)}>{devicesWords.pressItsButton}</Button>
        <Button onClick={() => press('ERR 3')}>{devicesWords.aFault}</Button>
      </div>
    </section>
  );
}

function ScalePanel() {
  const { view, drive } = useScale(true);
  return (
    <section className={styles['device']} aria-label={devicesWords.dropScale}>
      <h2>{devicesWords.dropScale}</h2>
      <p className={styles['state']} role="status">
        {view.words}
      </p>
      <p className={styles['soft']}>{devicesWords.whileABlendIsMixedG}</p>
      <div className={styles['drive']}>
        <Button onClick={() => void drive({ drops: 1 })}>{devicesWords.letADropFall}</Button>
        <Button onClick={() => void drive({ tare: true })}>{devicesWords.toZero}</Button>
        <Button onClick={() => void drive({ isOn: !view.isOn })}>
          {devicesWords.switchIt} {view.isOn ? devicesWords.off : devicesWords.on}
        </Button>
      </div>
    </section>
  );
}
