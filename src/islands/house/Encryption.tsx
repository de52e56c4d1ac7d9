import { type FormEvent, useEffect, useState } from 'react';
import type { CipherView } from '../../contracts/keeping';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import { houseWords } from './house.words';
import styles from './Keeping.module.css';

const lookEveryMs = 300;

interface Props {
  readonly isEncrypted: boolean;
  readonly say: (words: string, tone?: 'error') => void;
  readonly onChanged: () => void;
}

/** Whether the data on the house’s computer is encrypted, and the way there and back. */
export function Encryption({ isEncrypted, say, onChanged }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <section className={styles['encryption']} aria-labelledby="encryption-heading">
      <h2 id="encryption-heading">{houseWords.encryption}</h2>
      <p className={styles['state']} data-tone={isEncrypted ? 'good' : 'warn'}>
        {isEncrypted ? houseWords.dataIsEncrypted : houseWords.dataIsNotEncrypted}
      </p>
      <Button onClick={() => setIsOpen(true)}>
        {isEncrypted ? houseWords.takeEncryptionAway : houseWords.encryptTheData}
      </Button>
      {isOpen && (
        <Change
          isEncrypted={isEncrypted}
          onClose={() => setIsOpen(false)}
          onDone={() => {
            setIsOpen(false);
            say(isEncrypted ? houseWords.isPlainNow : houseWords.isEncryptedNow);
            onChanged();
          }}
        />
      )}
    </section>
  );
}

function Change({
  isEncrypted,
  onClose,
  onDone,
}: {
  readonly isEncrypted: boolean;
  readonly onClose: () => void;
  readonly onDone: () => void;
}) {
  const [passphrase, setPassphrase] = useState('');
  const [again, setAgain] = useState('');
  const [error, setError] = useState<string>();
  const [isBusy, setIsBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!isEncrypted && passphrase !== again) {
      setError(houseWords.theTwoDiffer);
      return;
    }
    setError(undefined);
    setIsBusy(true);
    try {
      const body = { passphrase };
      await (isEncrypted
        ? send('POST /api/keeping/decryption', { body })
        : send('POST /api/keeping/encryption', { body }));
      onDone();
    } catch (caught) {
      setError(caught instanceof RequestError ? caught.message : sentenceOf(caught));
    }
    setIsBusy(false);
  };
  return (
    <Dialog title={houseWords.encryption} isOpen onClose={() => !isBusy && onClose()}>
      <form className={styles['restore']} onSubmit={(event) => void submit(event)} noValidate>
        <p>{isEncrypted ? houseWords.whatTakingAwayMeans : houseWords.whatEncryptingMeans}</p>
        {!isEncrypted && <p>{houseWords.ifItIsLost}</p>}
        <Field
          label={houseWords.passphrase}
          type="password"
          autoComplete={isEncrypted ? 'off' : 'new-password'}
          value={passphrase}
          onChange={(event) => setPassphrase(event.target.value)}
          error={error}
        />
        {!isEncrypted && (
          <Field
            label={houseWords.passphraseAgain}
            type="password"
            autoComplete="new-password"
            value={again}
            onChange={(event) => setAgain(event.target.value)}
          />
        )}
        {isBusy && <HowFar />}
        <div className={styles['buttons']}>
          <Button onClick={onClose} disabled={isBusy}>
            {houseWords.leaveItAsItIs}
          </Button>
          <Button look="filled" type="submit" disabled={isBusy}>
            {isEncrypted ? houseWords.takeItAway : houseWords.encryptNow}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Asked of the server while the house itself is closed. */
function HowFar() {
  const [running, setRunning] = useState<CipherView['running']>(null);
  useEffect(() => {
    const look = () =>
      send('GET /api/keeping/encryption').then(
        (view) => setRunning(view.running),
        () => undefined,
      );
    const timer = window.setInterval(() => void look(), lookEveryMs);
    return () => window.clearInterval(timer);
  }, []);
  return (
    <div className={styles['now']}>
      <progress value={running?.share ?? 0} aria-label={houseWords.encryption} />
      <span role="status">
        {running?.doing === 'encrypting'
          ? houseWords.changingPages
          : running?.doing === 'checking'
            ? houseWords.checkingTheCopy
            : houseWords.copying}
      </span>
    </div>
  );
}
