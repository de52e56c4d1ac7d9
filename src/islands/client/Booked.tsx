import { clientWords } from './client.words';
import type { ClientId } from '../../core/ids';
import { lazy, Suspense, useState } from 'react';
import type { BookedView } from '../../contracts/client-views';
import type { LastWork } from '../../contracts/last-work';
import type { TherapistView } from '../../contracts/people-views';
import { Button } from '../../ui/button/Button';
import { useIsBrowser } from '../../ui/charts/Drawn';
import { Dialog } from '../../ui/dialog/Dialog';
import type { Say } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import type { Series } from '../booking/BookVisit';
import styles from './ClientPage.module.css';

const BookVisit = lazy(async () => ({ default: (await import('../booking/BookVisit')).BookVisit }));

interface Props {
  readonly clientId: ClientId;
  readonly booked: readonly BookedView[];
  readonly therapists: readonly TherapistView[];
  readonly today: string;
  readonly lastWork: LastWork | null;
  /** Those who treat go straight into a visit that is for today. */
  readonly mayTreat: boolean;
  readonly say: Say;
  /** Opens the booking with a series that was proposed. */
  readonly series?: Series | undefined;
}

/** Visits that are to come: book, move, cancel. */
export function Booked({ clientId, booked: first, therapists, today, lastWork, mayTreat, say, series }: Props) {
  const [booked, setBooked] = useState(first);
  const [isBooking, setIsBooking] = useState(series !== undefined);
  const isBrowser = useIsBrowser();
  const [moving, setMoving] = useState<BookedView>();
  const [cancelling, setCancelling] = useState<BookedView>();
  const reload = async (words: string, undo?: () => void) => {
    setBooked(await send('GET /api/clients/{id}/booked', { params: { id: clientId } }));
    setIsBooking(false);
    setMoving(undefined);
    setCancelling(undefined);
    say(words, 'note', undo);
  };
  const cancel = async (visit: BookedView, following: boolean) => {
    try {
      await send('DELETE /api/visits/{id}/booking', {
        params: { id: visit.id },
        query: { following },
      });
      await reload(clientWords.cancelled(visit.date, visit.time), () => void takeBack(visit));
    } catch (error) {
      setCancelling(undefined);
      say(sentenceOf(error), 'error');
    }
  };
  const takeBack = async (visit: BookedView) => {
    try {
      await send('POST /api/visits/{id}/booking/back', { params: { id: visit.id } });
      await reload(clientWords.bookedAgain(visit.date, visit.time));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const common = { clientId, therapists, today, lastWork };
  return (
    <>
      <div className={styles['heading']}>
        <h2>{clientWords.booked}</h2>
        <Button look="filled" onClick={() => setIsBooking(true)}>
          {clientWords.bookAVisit}
        </Button>
      </div>
      {booked.length === 0 ? (
        <p className={styles['quiet']}>{clientWords.nothingIsBooked}</p>
      ) : (
        <ul className={styles['findings']}>
          {booked.map((visit) => (
            <li key={visit.id}>
              <div>
                <strong>
                  {visit.date}, {visit.time}
                </strong>
                <span>
                  {visit.minutes} {clientWords.minWith} {visit.therapist} · {visit.work}
                  {visit.isSeries && clientWords.oneOfARow}
                </span>
              </div>
              <span className={styles['acts']}>
                <Button
                  look="link"
                  onClick={() => setMoving(visit)}
                  aria-label={clientWords.move2(visit.date, visit.time)}
                >
                  {clientWords.move}
                </Button>
                <Button
                  look="link"
                  onClick={() => setCancelling(visit)}
                  aria-label={clientWords.cancel2(visit.date, visit.time)}
                >
                  {clientWords.cancel}
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {isBrowser && isBooking && (
        <Suspense>
          <BookVisit
            isOpen
            {...common}
            series={series}
            onClose={() => setIsBooking(false)}
            onBooked={(id) =>
              mayTreat ? window.location.assign(`/visits/${id}/ask`) : void reload(clientWords.isBooked)
            }
          />
        </Suspense>
      )}
      {moving && (
        <Suspense>
          <BookVisit
            isOpen
            {...common}
            moving={moving}
            onClose={() => setMoving(undefined)}
            onBooked={() => void reload(clientWords.isMoved)}
          />
        </Suspense>
      )}
      {cancelling && (
        <Dialog
          title={clientWords.cancel3(cancelling.date, cancelling.time)}
          isOpen
          onClose={() => setCancelling(undefined)}
        >
          <p>{clientWords.itStaysOnRecordAsCancelled}</p>
          <div className={styles['buttons']}>
            <Button onClick={() => setCancelling(undefined)}>{clientWords.cancel}</Button>
            {cancelling.isSeries && (
              <Button onClick={() => void cancel(cancelling, true)}>{clientWords.thisAndTheLaterOnesOf}</Button>
            )}
            <Button look="filled" onClick={() => void cancel(cancelling, false)}>
              {clientWords.cancelTheVisit}
            </Button>
          </div>
        </Dialog>
      )}
    </>
  );
}
