import { calendarWords } from './calendar.words';
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
        setSaid(calendarWords.aNewAddressTheOldOne);
      })
      .catch(fail);
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setSaid(calendarWords.copied),
      () => setSaid(calendarWords.markTheAddressAndCopyIt),
    );
  return (
    <Dialog title={calendarWords.myCalendar} isOpen onClose={onClose}>
      <div className={styles['calendar']}>
        <p>{calendarWords.aCalendarProgramThatFollowsThis}</p>
        <div className={styles['row']}>
          <Field
            label={calendarWords.addressToFollow}
            value={address}
            readOnly
            onFocus={(event) => event.target.select()}
            error={trouble}
          />
          <Button onClick={() => void copy()} disabled={address === ''}>
            {calendarWords.copy}
          </Button>
        </div>
        <p className={styles['quiet']}>{calendarWords.whoeverHasTheAddressCanRead}</p>
        <p role="status" className={styles['quiet']}>
          {said}
        </p>
        <div className={styles['buttons']}>
          <Button onClick={() => void renew()}>{calendarWords.makeANewAddress}</Button>
          <ButtonLink href="/api/calendar" download>
            {calendarWords.downloadTheVisits}
          </ButtonLink>
          <Button look="filled" onClick={onClose}>
            {calendarWords.done}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
