import { dayWords } from './day.words';
import { useState } from 'react';
import type { DayView, DayVisit } from '../../contracts/day-views';
import { send } from '../api';
import { ButtonLink } from '../../ui/button/Button';
import { Countdown } from './Countdown';
import { DayAside } from './DayAside';
import styles from './DayThread.module.css';
import { unpacked } from '../../ui/frame/packed';

const pebbleShape = 'M-15 2C-16 -6 -9 -12 -1 -12C8 -12 15 -7 15.5 0C16 7 9 12 1 12C-8 12.5 -14 9 -15 2Z';

/** Where a visit is picked up again; the front desk goes to the client. */
function nextHref(visit: DayVisit, mayTreat: boolean): string {
  if (visit.stage === 'done' || !mayTreat) return `/clients/${visit.client.id}`;
  const view = visit.stage === 'stopped' ? 'ask' : visit.stage;
  return `/visits/${visit.id}/${view}`;
}

const goOn: Readonly<Record<DayVisit['stage'], string>> = {
  ask: dayWords.begin,
  measure: dayWords.goOnMeasure,
  plan: dayWords.goOnPlan,
  prepare: dayWords.goOnPrepare,
  table: dayWords.backToTheTable,
  close: dayWords.closeTheRecord,
  done: dayWords.open,
  stopped: dayWords.seeWhy,
};

const goOnWords = (visit: DayVisit, mayTreat: boolean) => (mayTreat ? goOn[visit.stage] : dayWords.contact);

/** Today as a thread: what is over, who is next, what each visit needs. */
export function DayThread({
  day: first,
  isToday,
  currentId,
}: {
  readonly day: DayView;
  readonly isToday: boolean;
  readonly currentId: number | null;
}) {
  const [day, setDay] = useState(first);
  const reload = async () => setDay(await send('GET /api/day', { query: { day: first.date } }));
  const over = day.visits.filter((visit) => visit.stage === 'done').length;
  const total = day.visits.length;
  const summary =
    total === 0
      ? dayWords.noVisits
      : `${total} ${total === 1 ? 'visit' : 'visits'}${over > 0 ? dayWords.closed(over) : ''}`;
  return (
    <div className={styles['view']}>
      <main id="main" className={styles['thread']}>
        <h1>
          {day.title}
          <small>
            {summary} · {day.house}
          </small>
        </h1>
        {total === 0 && (
          <p className={styles['empty']}>
            {dayWords.nothingIsBooked} {isToday ? dayWords.today2 : dayWords.onThisDay}
            {dayWords.bookAVisitOnTheRight} <a href="/clients">{dayWords.findAClient}</a> {dayWords.first}
          </p>
        )}
        <ol>
          {day.visits.map((visit) => (
            <li
              key={visit.id}
              className={styles['visit']}
              data-state={
                visit.id === currentId ? 'now' : visit.stage === 'done' || visit.stage === 'stopped' ? 'over' : 'ahead'
              }
            >
              <div className={styles['time']}>
                <strong>{visit.time}</strong>
                <span>{dayWords.min(visit.minutes)}</span>
                {isToday && visit.stage === 'ask' && <Countdown startsAt={visit.startsAt} now={day.now} />}
              </div>
              <svg width="40" height="34" viewBox="-18 -15 36 30" aria-hidden="true" className={styles['stone']}>
                <path d={pebbleShape} />
                {visit.stage === 'done' && <polyline points="-6,0 -1,5 7,-5" />}
              </svg>
              <div className={styles['body']}>
                <div className={styles['line']}>
                  <div>
                    <h2>
                      <a href={nextHref(visit, day.mayTreat)}>{visit.client.name}</a>
                    </h2>
                    <span className={styles['work']}>{visit.work}</span>
                  </div>
                  {visit.id === currentId ? (
                    <ButtonLink look="filled" href={nextHref(visit, day.mayTreat)}>
                      {goOnWords(visit, day.mayTreat)}
                    </ButtonLink>
                  ) : (
                    <a
                      className={styles['go']}
                      href={nextHref(visit, day.mayTreat)}
                      aria-label={`${goOnWords(visit, day.mayTreat)}, ${visit.client.name}`}
                    >
                      {goOnWords(visit, day.mayTreat)}
                    </a>
                  )}
                </div>
                <p className={styles['note']}>
                  {visit.line} · {visit.therapist.name}, {visit.therapist.room}
                </p>
                {visit.client.about !== '' && visit.stage !== 'done' && (
                  <p className={styles['about']}>{visit.client.about}</p>
                )}
                {tasksOf(visit).length > 0 && (
                  <ul className={styles['tasks']}>
                    {tasksOf(visit).map((task) => (
                      <li
                        key={task.text}
                        data-done={task.done ? true : undefined}
                        data-pressing={task.isPressing ? true : undefined}
                      >
                        <svg width="18" height="15" viewBox="-16 -13 32 26" aria-hidden="true">
                          <path d={pebbleShape} />
                        </svg>
                        <span>
                          {task.text}
                          {task.done && <span className="visually-hidden">{dayWords.done}</span>}
                        </span>
                        <em>{task.when}</em>
                      </li>
                    ))}
                  </ul>
                )}
              </div>
            </li>
          ))}
        </ol>
      </main>
      <DayAside day={day} onBooked={reload} />
    </div>
  );
}

/** Of a visit that is over only what is still open, such as a last look at the skin. */
const tasksOf = ({ stage, tasks }: DayVisit): DayVisit['tasks'] =>
  stage === 'stopped' ? [] : stage === 'done' ? tasks.filter(({ done }) => !done) : tasks;

/** As the page shows it. */
export const DayIsland = unpacked(DayThread);
