import { useState } from 'react';
import type { DayView } from '../../contracts/day-views';
import { Button } from '../../ui/button/Button';
import { Calendar } from '../calendar/Calendar';
import { BookFromDay } from '../booking/BookFromDay';
import styles from './DayAside.module.css';

/** Beside the day: the week, booking, what was left open, and what goes out of the house. */
export function DayAside({ day }: { readonly day: DayView }) {
  const [open, setOpen] = useState<'booking' | 'calendar'>();
  const { due, failed } = day.outbox;
  return (
    <aside className={styles['aside']} aria-label="The week and loose ends">
      <div className={styles['heading']}>
        <h2>This week</h2>
        <Button onClick={() => setOpen('booking')}>Book a visit</Button>
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
                , {date.visits} visits{date.isToday ? ', today' : ''}
              </span>
            </a>
          </li>
        ))}
      </ol>
      <p className={styles['turn']}>
        <a href={`/?day=${day.before}`}>← Week before</a>
        <a href={`/?day=${day.after}`}>Week after →</a>
      </p>
      {day.mayTreat && (
        <>
          <h2>Loose ends</h2>
          {day.looseEnds.length === 0 ? (
            <p className={styles['quiet']}>None. Every record before today is closed.</p>
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
      <h2>Out of the house</h2>
      <ul className={styles['ends']}>
        <li>
          <a href="/outbox">Reminders</a>
          <span data-tone={failed > 0 ? 'brick' : undefined}>
            {failed > 0 ? `${failed} not delivered` : due > 0 ? `${due} to send` : 'none due'}
          </span>
        </li>
        <li>
          <Button look="link" onClick={() => setOpen('calendar')}>
            My calendar
          </Button>
          <span>follow or download</span>
        </li>
      </ul>
      <h2>Good to know</h2>
      <p className={styles['quiet']}>
        Velvet Stone supports trained hands. It is no medical device; local law, professional codes and the limits of
        your licence come first.
      </p>
      {open === 'booking' && <BookFromDay day={day} onClose={() => setOpen(undefined)} />}
      {open === 'calendar' && <Calendar onClose={() => setOpen(undefined)} />}
    </aside>
  );
}
