import { format, parseISO } from 'date-fns';
import { useId, useState } from 'react';
import { addDays } from '../../core/calendar/days';
import type { LimbCourse } from '../../contracts/progress-views';
import { courseVisits, longestThatReaches, visitErrorMl, visitsWanted } from '../../core/course/advice';
import type { Course, CourseVisit, Forecast } from '../../core/course/course';
import { courseSays } from '../../core/course/course.says';
import {
  forecastInWords,
  intervalInWords,
  phasesInWords,
  responseInWords,
  wantedInWords,
} from '../../core/course/course-words';
import type { ClientId } from '../../core/ids';
import { volumesIn } from '../../core/volume-units';
import { ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { typedNumber } from '../forms/numbers';
import styles from './CourseAhead.module.css';
import { progressWords } from './progress.words';
import { Phases, phasesOf, type TwoPhases } from './Phases';
import { useCourse } from './useCourse';

const intervals = [3, 4, 7, 10, 14, 21, 28];
const horizons = [42, 84, 168] as const;
const weekDays = 7;
const mostMl = 100_000;

interface Props {
  readonly clientId: ClientId;
  readonly course: LimbCourse;
}

/** How often is often enough: an estimate from the client's own visits, with its range, and never a promise. */
export function CourseAhead({ clientId, course }: Props) {
  const visits = courseVisits(course.points);
  const wanted = visitsWanted(visits);
  return (
    <section className={styles['ahead']} aria-label={progressWords.theCourseAhead}>
      <div className={styles['heading']}>
        <h2>{progressWords.theCourseAhead}</h2>
        <p>{progressWords.anEstimateNeverAPromise}</p>
      </div>
      {wanted > 0 ? <p>{wantedInWords(wanted)}</p> : <Ahead clientId={clientId} course={course} visits={visits} />}
    </section>
  );
}

function Ahead({ clientId, course: limb, visits }: Props & { readonly visits: readonly CourseVisit[] }) {
  const [horizonDays, setHorizonDays] = useState<number>(84);
  const [goal, setGoal] = useState('');
  const [phases, setPhases] = useState<TwoPhases>();
  const volumes = volumesIn(limb.volumeUnit);
  const typed = typedNumber(goal);
  const isBadGoal = typed !== null && !(typed >= 0 && volumes.toMl(typed) <= mostMl);
  const goalMl = isBadGoal || typed === null ? null : volumes.toMl(typed);
  const course = useCourse({
    visits,
    errorMl: visitErrorMl(limb.points.flatMap(({ excessSdMl }) => excessSdMl ?? [])),
    intervals,
    horizonDays,
    phases: phases ? phasesOf(phases) : null,
    goalMl,
    seed: 1,
  });
  if (!course)
    return (
      <p role="status" aria-busy="true">
        {progressWords.workingItOut}
      </p>
    );
  if (!course.enough) return <p>{courseSays.tooLittleBeyondError}</p>;
  return (
    <>
      <p className={styles['sentence']}>{responseInWords(course)}</p>
      {course.plateau && (
        <div className={styles['plateau']} role="note">
          <strong>{courseSays.noLongerChange}</strong>
          <p>{courseSays.whatMayBeRaised}</p>
        </div>
      )}
      <div className={styles['asked']}>
        <Choice
          label={progressWords.howFarAhead}
          options={horizons.map((days) => ({ value: String(days), text: progressWords.weeksAhead(days / weekDays) }))}
          value={String(horizonDays)}
          onChange={(days) => setHorizonDays(Number(days))}
        />
        <Field
          label={progressWords.goalIn(volumes.name)}
          inputMode="decimal"
          value={goal}
          onChange={(event) => setGoal(event.target.value)}
          error={isBadGoal ? progressWords.giveTheGoalAsANumber : undefined}
          hint={`${progressWords.excessThatIsWanted} ${progressWords.countedTo(endDay(visits, horizonDays))}`}
        />
      </div>
      <Phases intervals={intervals} phases={phases} onPhases={setPhases} />
      <Fan course={course} goalMl={goalMl} text={volumes.text} phases={phases} />
      {phases && course.phased && (
        <div className={styles['chosen']} role="status">
          <p>
            {progressWords.phasesComeTo(phasesInWords(phasesOf(phases)), forecastInWords(course.phased, volumes.text))}
          </p>
          <ButtonLink href={`/clients/${clientId}?book=${phases.firstDays},${phases.firstVisits}`}>
            {progressWords.bookTheFirst}
          </ButtonLink>
        </div>
      )}
      {goalMl !== null && <Chosen clientId={clientId} course={course} goalMl={goalMl} horizonDays={horizonDays} />}
    </>
  );
}

interface FanProps {
  readonly course: Course;
  readonly goalMl: number | null;
  readonly text: (ml: number) => string;
  readonly phases: TwoPhases | undefined;
}

/** Each interval with the excess it would come to: its middle, and the range in which eight of ten draws lie. */
function Fan({ course, goalMl, text, phases }: FanProps) {
  const rows = [
    ...course.forecast.map((one) => ({ ...one, name: intervalInWords(one.everyDays) })),
    ...(phases && course.phased ? [{ ...course.phased, name: progressWords.asPhases }] : []),
  ];
  const most = Math.max(...rows.map(({ highMl }) => highMl), goalMl ?? 0, 1);
  const share = (ml: number) => `${Math.min(100, Math.max(0, (100 * ml) / most))}%`;
  const id = useId();
  return (
    <table className={styles['fan']} aria-describedby={id}>
      <caption id={id}>{progressWords.excessJustBeforeTheVisitAfter}</caption>
      <thead>
        <tr>
          <th scope="col">{progressWords.aVisitEvery}</th>
          <th scope="col">{progressWords.visitsThatIs}</th>
          <th scope="col">{progressWords.wouldComeTo}</th>
          <td />
        </tr>
      </thead>
      <tbody>
        {rows.map((one) => (
          <tr key={one.name} data-reaches={(one.reachesGoal === true && !one.beyondSeen) || undefined}>
            <th scope="row">{one.name}</th>
            <td>{one.visits}</td>
            <td>{forecastInWords(one, text)}</td>
            <td aria-hidden="true">
              <Bar one={one} share={share} goalMl={goalMl} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Bar({
  one,
  share,
  goalMl,
}: {
  readonly one: Forecast;
  readonly share: (ml: number) => string;
  readonly goalMl: number | null;
}) {
  return (
    <div className={styles['bar']}>
      {!one.beyondSeen && (
        <>
          <i style={{ left: share(one.lowMl), right: `calc(100% - ${share(one.highMl)})` }} />
          <b style={{ left: share(one.endMl) }} />
        </>
      )}
      {goalMl !== null && <em style={{ left: share(goalMl) }} />}
    </div>
  );
}

function Chosen({
  clientId,
  course,
  goalMl,
  horizonDays,
}: {
  readonly clientId: ClientId;
  readonly course: Course;
  readonly goalMl: number;
  readonly horizonDays: number;
}) {
  const choice = longestThatReaches(course.forecast, goalMl);
  if (!choice) return <p className={styles['chosen']}>{progressWords.noneReachesTheGoal}</p>;
  const every = intervalInWords(choice.everyDays);
  return (
    <div className={styles['chosen']} role="status">
      <p>{choice.isSafe ? progressWords.reachesItSafely(every) : progressWords.reachesItInTheMiddle(every)}</p>
      <ButtonLink
        href={`/clients/${clientId}?book=${choice.everyDays},${Math.max(1, Math.floor(horizonDays / choice.everyDays))}`}
      >
        {progressWords.bookASeries}
      </ButtonLink>
    </div>
  );
}

/** The day that the horizon ends on, counted from the last visit. */
const endDay = (visits: readonly CourseVisit[], horizonDays: number): string =>
  format(parseISO(addDays(visits.at(-1)?.day ?? '1970-01-01', horizonDays)), 'd MMM yyyy');
