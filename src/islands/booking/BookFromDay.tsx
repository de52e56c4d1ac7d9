import { useState } from 'react';
import type { FoundClient } from '../../contracts/client-views';
import type { DayView } from '../../contracts/day-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { useClientSearch } from '../clients/useClientSearch';
import styles from './Booking.module.css';
import { BookVisit } from './BookVisit';

/** Booking that begins with the day: for whom, then when. */
export function BookFromDay({ day, onClose }: { readonly day: DayView; readonly onClose: () => void }) {
  const [query, setQuery] = useState('');
  const [client, setClient] = useState<FoundClient>();
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
        onBooked={() => window.location.reload()}
      />
    );
  return (
    <Dialog title="Book a visit" isOpen onClose={onClose}>
      <div className={styles['form']}>
        <Field
          label="For whom"
          hint="Name, phone or e-mail; a few letters will do."
          type="search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          autoFocus
          autoComplete="off"
          maxLength={200}
          error={trouble}
        />
        <ul className={styles['found']} aria-label="Clients found">
          {found.slice(0, 6).map((one) => (
            <li key={one.id}>
              <button type="button" onClick={() => setClient(one)}>
                <strong>{one.name}</strong>
                <span>
                  {[one.age === null ? '' : `${one.age} years`, one.phone || one.email, one.lastVisit ?? 'no visit yet']
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <p role="status" className={styles['quiet']}>
          {query !== '' && found.length === 0 ? `Nobody matches “${query}”.` : ''}
        </p>
        <div className={styles['buttons']}>
          <a href="/clients">Somebody new</a>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </div>
    </Dialog>
  );
}
