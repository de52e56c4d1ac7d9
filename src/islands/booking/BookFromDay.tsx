import { bookingWords } from './booking.words';
import { useState } from 'react';
import type { FoundClient } from '../../contracts/client-views';
import type { DayView } from '../../contracts/day-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { AddClient } from '../clients/AddClient';
import { useClientSearch } from '../clients/useClientSearch';
import styles from './Booking.module.css';
import { BookVisit } from './BookVisit';

interface Props {
  readonly day: DayView;
  readonly onBooked: () => Promise<void>;
  readonly onClose: () => void;
}

/** Booking that begins with the day: for whom, then when. */
export function BookFromDay({ day, onBooked, onClose }: Props) {
  const [query, setQuery] = useState('');
  const [client, setClient] = useState<Pick<FoundClient, 'id' | 'name'>>();
  const [isNew, setIsNew] = useState(false);
  const { found, trouble } = useClientSearch(query, [], '');
  if (client)
    return (
      <BookVisit
        isOpen
        onClose={onClose}
        clientId={client.id}
        clientName={client.name}
        therapists={day.therapists}
        lastWork={null}
        today={day.date > day.now.slice(0, 10) ? day.date : day.now.slice(0, 10)}
        onBooked={() => void onBooked().finally(onClose)}
      />
    );
  if (isNew) return <AddClient name={query} onClose={() => setIsNew(false)} onAdded={setClient} />;
  return (
    <Dialog title={bookingWords.bookAVisit} isOpen onClose={onClose}>
      <div className={styles['form']}>
        <Field
          label={bookingWords.forWhom}
          hint={bookingWords.namePhoneOrEMailA}
          type="search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          autoFocus
          autoComplete="off"
          maxLength={200}
          error={trouble}
        />
        <ul className={styles['found']} aria-label={bookingWords.clientsFound}>
          {found.slice(0, 6).map((one) => (
            <li key={one.id}>
              <button type="button" onClick={() => setClient(one)}>
                <strong>{one.name}</strong>
                <span>
                  {[
                    one.age === null ? '' : bookingWords.years(one.age),
                    one.phone || one.email,
                    one.lastVisit ?? bookingWords.noVisitYet,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <p role="status" className={styles['quiet']}>
          {query !== '' && found.length === 0 ? bookingWords.nobodyMatches(query) : ''}
        </p>
        <div className={styles['buttons']}>
          <Button look="link" onClick={() => setIsNew(true)}>
            {bookingWords.somebodyNew}
          </Button>
          <Button onClick={onClose}>{bookingWords.cancel}</Button>
        </div>
      </div>
    </Dialog>
  );
}
