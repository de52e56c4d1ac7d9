import type { ClientId } from '../../core/ids';
import { useState } from 'react';
import type { BookedView } from '../../contracts/client-views';
import type { LastWork } from '../../contracts/last-work';
import type { TherapistView } from '../../contracts/people-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { send, sentenceOf } from '../api';
import { BookVisit } from '../booking/BookVisit';
import styles from './ClientPage.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly booked: readonly BookedView[];
  readonly therapists: readonly TherapistView[];
  readonly today: string;
  readonly lastWork: LastWork | null;
  /** Those who treat go straight into a visit that is for today. */
  readonly mayTreat: boolean;
  readonly say: (words: string, tone?: 'error') => void;
}

/** Visits that are to come: book, move, cancel. */
export function Booked({ clientId, booked, therapists, today, lastWork, mayTreat, say }: Props) {
  const [isBooking, setIsBooking] = useState(false);
  const [moving, setMoving] = useState<BookedView>();
  const [cancelling, setCancelling] = useState<BookedView>();
  const cancel = async (visit: BookedView, following: boolean) => {
    try {
      await send('DELETE /api/visits/{id}/booking', {
        params: { id: visit.id },
        query: { following },
      });
      window.location.reload();
    } catch (error) {
      setCancelling(undefined);
      say(sentenceOf(error), 'error');
    }
  };
  const common = { clientId, therapists, today, lastWork };
  return (
    <>
      <div className={styles['heading']}>
        <h2>Booked</h2>
        <Button look="filled" onClick={() => setIsBooking(true)}>
          Book a visit
        </Button>
      </div>
      {booked.length === 0 ? (
        <p className={styles['quiet']}>Nothing is booked.</p>
      ) : (
        <ul className={styles['findings']}>
          {booked.map((visit) => (
            <li key={visit.id}>
              <div>
                <strong>
                  {visit.date}, {visit.time}
                </strong>
                <span>
                  {visit.minutes} min with {visit.therapist} · {visit.work}
                  {visit.isSeries && ' · one of a row'}
                </span>
              </div>
              <span className={styles['acts']}>
                <Button look="link" onClick={() => setMoving(visit)} aria-label={`Move: ${visit.date}, ${visit.time}`}>
                  Move
                </Button>
                <Button
                  look="link"
                  onClick={() => setCancelling(visit)}
                  aria-label={`Cancel: ${visit.date}, ${visit.time}`}
                >
                  Cancel
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {isBooking && (
        <BookVisit
          isOpen
          {...common}
          onClose={() => setIsBooking(false)}
          onBooked={(id) => (mayTreat ? window.location.assign(`/visits/${id}/ask`) : window.location.reload())}
        />
      )}
      {moving && (
        <BookVisit
          isOpen
          {...common}
          moving={moving}
          onClose={() => setMoving(undefined)}
          onBooked={() => window.location.reload()}
        />
      )}
      {cancelling && (
        <Dialog
          title={`Cancel ${cancelling.date}, ${cancelling.time}?`}
          isOpen
          onClose={() => setCancelling(undefined)}
        >
          <p>It stays on record as cancelled; its reminder is not sent.</p>
          <div className={styles['buttons']}>
            <Button onClick={() => setCancelling(undefined)}>Leave it</Button>
            {cancelling.isSeries && (
              <Button onClick={() => void cancel(cancelling, true)}>This and the later ones of the row</Button>
            )}
            <Button look="filled" onClick={() => void cancel(cancelling, false)}>
              Cancel the visit
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}
