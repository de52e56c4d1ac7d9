import { dayWords } from './day.words';
import { lazy, Suspense, useState } from 'react';
import type { DayView } from '../../contracts/day-views';
import { Button } from '../../ui/button/Button';
import { Calendar } from '../calendar/Calendar';
import styles from './DayAside.module.css';

const BookFromDay = lazy(() => import('../booking/BookFromDay').then((found) => ({ default: found.BookFromDay })));

/** Beside the day: the week, booking, what was left open, and what goes out of the house. */
export function DayAside({ day, onBooked }: { readonly day: DayView; readonly onBooked: () => Promise<void> }) {
  const [open, setOpen] = useState<'booking' | 'calendar'>();
  const { due, failed } = day.outbox;
  return (
    <aside className={styles['aside']} aria-label={dayWords.theWeekAndLooseEnds}>
      <div className={styles['heading']}>
        <h2>{dayWords.thisWeek}</h2>
        <Button onClick={() => setOpen('booking')}>{dayWords.bookAVisit}</Button>
      </div>
      <ol className={styles['week']}>
        {day.week.map((date) => (
          <li key={date.date} data-shown={date.date === day.date ? true : undefined}>
            <a href={`/?day=${date.date}`} aria-current={date.date === day.date ? 'date' : undefined}>
              <span>{date.weekday}</span>
              <strong>{date.day}</strong>
              <span className={styles['beads']} aria-hidden="true">
                {Array.from({ length: Math.min(date.visits, 8) }, (_, i) => (
                  <i key={i} />
                ))}
              </span>
              <span className="visually-hidden">
                {dayWords.visits(date.visits)}
                {date.isToday ? dayWords.today : ''}
              </span>
            </a>
          </li>
        ))}
      </ol>
      <p className={styles['turn']}>
        <a href={`/?day=${day.before}`}>{dayWords.weekBefore}</a>
        <a href={`/?day=${day.after}`}>{dayWords.weekAfter}</a>
      </p>
      {day.mayTreat && (
        <>
          <h2>{dayWords.looseEnds}</h2>
          {day.looseEnds.length === 0 ? (
            <p className={styles['quiet']}>{dayWords.noneEveryRecordBeforeTodayIs}</p>
          ) : (
            <ul className={styles['ends']}>
              {day.looseEnds.map((end) => (
                <li key={end.href}>
                  <a href={end.href}>{end.text}</a>
                  <span>{end.what}</span>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
      <h2>{dayWords.outOfTheHouse}</h2>
      <ul className={styles['ends']}>
        <li>
          <a href="/outbox">{dayWords.reminders}</a>
          <span data-tone={failed > 0 ? 'brick' : undefined}>
            {failed > 0 ? dayWords.notDelivered(failed) : due > 0 ? dayWords.toSend(due) : dayWords.noneDue}
          </span>
        </li>
        <li>
          <Button look="link" onClick={() => setOpen('calendar')}>
            {dayWords.myCalendar}
          </Button>
          <span>{dayWords.followOrDownload}</span>
        </li>
      </ul>
      <h2>{dayWords.goodToKnow}</h2>
      <p className={styles['quiet']}>{dayWords.velvetStoneSupportsTrainedHandsIt}</p>
      {open === 'booking' && (
        <Suspense>
          <BookFromDay day={day} onBooked={onBooked} onClose={() => setOpen(undefined)} />
        </Suspense>
      )}
      {open === 'calendar' && <Calendar onClose={() => setOpen(undefined)} />}
    </aside>
  );
}
