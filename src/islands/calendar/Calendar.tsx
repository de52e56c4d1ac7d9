import { useEffect, useState } from 'react';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import styles from './Calendar.module.css';

/** One's own visits for a calendar program: an address that it can follow, or a file. */
export function Calendar({ onClose }: { readonly onClose: () => void }) {
  const [address, setAddress] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const [said, setSaid] = useState('');
  const show = ({ path }: { path: string }) => setAddress(new URL(path, window.location.href).href);
  const fail = (error: unknown) => setTrouble(sentenceOf(error));
  useEffect(() => {
    send('POST /api/calendar').then(show).catch(fail);
  }, []);
  const renew = () =>
    send('POST /api/calendar', { query: { renew: true } })
      .then((answer) => {
        show(answer);
        setSaid('A new address. The old one no longer works.');
      })
      .catch(fail);
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setSaid('Copied.'),
      () => setSaid('Mark the address and copy it by hand.'),
    );
  return (
    <Dialog title="My calendar" isOpen onClose={onClose}>
      <div className={styles['calendar']}>
        <p>
          A calendar program that follows this address shows your visits and keeps up with what is moved or cancelled.
          Clients are in it by their initials only.
        </p>
        <div className={styles['row']}>
          <Field
            label="Address to follow"
            value={address}
            readOnly
            onFocus={(event) => event.target.select()}
            error={trouble}
          />
          <Button onClick={() => void copy()} disabled={address === ''}>
            Copy
          </Button>
        </div>
        <p className={styles['quiet']}>
          Whoever has the address can read it: treat it like a key. Lost it? Make a new one, and the old one is void.
        </p>
        <p role="status" className={styles['quiet']}>
          {said}
        </p>
        <div className={styles['buttons']}>
          <Button onClick={() => void renew()}>Make a new address</Button>
          <ButtonLink href="/api/calendar" download>
            Download the visits
          </ButtonLink>
          <Button look="filled" onClick={onClose}>
            Done
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
