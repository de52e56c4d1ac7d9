import { closeWords } from './close.words';
import { lazy, Suspense, useState } from 'react';
import type { NextVisitView, VisitAtWork } from '../../contracts/visit-views';
import { Button } from '../../ui/button/Button';
import styles from './CloseView.module.css';

/** Fetched when somebody books: closing itself stays light. */
const BookVisit = lazy(async () => ({ default: (await import('../booking/BookVisit')).BookVisit }));

/** When to come again, with the reasons; booked with the dialog of the house. */
export function NextVisit({ visit, next }: { readonly visit: VisitAtWork; readonly next: NextVisitView }) {
  const [isBooking, setIsBooking] = useState(false);
  const [booked, setBooked] = useState(next.booked);
  return (
    <>
      <h2>{closeWords.nextVisit}</h2>
      {booked ? (
        <p>{closeWords.booked(booked)}</p>
      ) : (
        <>
          <p>
            <strong>{next.words}</strong>
          </p>
          <ul className={`marked-list ${styles['marked']}`}>
            {next.why.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
          <Button onClick={() => setIsBooking(true)}>{closeWords.bookIt}</Button>
        </>
      )}
      {isBooking && (
        <Suspense fallback={<p role="status">{closeWords.theCalendarOpens}</p>}>
          <BookVisit
            isOpen
            onClose={() => setIsBooking(false)}
            clientId={visit.client.id}
            clientName={visit.client.name}
            therapists={next.therapists}
            lastWork={next.lastWork}
            today={next.date}
            onBooked={() => {
              setIsBooking(false);
              setBooked(closeWords.itIsInTheCalendar);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
