import { progressWords } from './progress.words';
import { lazy, useCallback, useState } from 'react';
import { courseOption, type Quantity } from '../../charts/course-options';
import type { Palette } from '../../charts/palette';
import { fadeOption, feelings, likings, responseOption, scoresOption } from '../../charts/visit-options';
import type { LimbCourse, ProgressHead as View } from '../../contracts/progress-views';
import { countInWords, trendInWords, volumeTrendInWords } from '../../core/swelling/trend-words';
import { formatNumber } from '../../core/units';
import { volumesIn } from '../../core/volume-units';
import { ButtonLink } from '../../ui/button/Button';
import { Drawn } from '../../ui/charts/Drawn';
import { Choice } from '../../ui/choice/Choice';
import { send } from '../api';
import { useAsked } from '../asked';
import { AtHome } from './AtHome';
import { CompareDates } from './CompareDates';
import { CourseAhead } from './CourseAhead';
import { AskedDetails } from './Details';
import { FeedbackTable, FiguresTable } from './FiguresTable';
import styles from './ProgressView.module.css';
import { unpacked } from '../../ui/frame/packed';

const ProgressChart = lazy(() => import('./ProgressChart'));

type What = Quantity | 'feeling' | 'skin' | 'liking';

const names: Readonly<Record<What, string>> = {
  excess: 'excess',
  volumes: progressWords.bothSides,
  eight: progressWords.handOrFoot,
  feeling: progressWords.howItFeels,
  skin: 'redness',
  liking: 'feedback',
};

/** Is the swelling going down, and does it stay down between visits? */
export function ProgressView({ head: view }: { readonly head: View }) {
  const { id } = view.client;
  const asked = useAsked(
    useCallback((signal: AbortSignal) => send('GET /api/clients/{id}/progress', { params: { id }, signal }), [id]),
  );
  const details = asked.answer;
  const [courseKey, setCourseKey] = useState(view.courses[0]?.key);
  const course = view.courses.find(({ key }) => key === courseKey);
  const offered = offeredOf(view, course);
  const [what, setWhat] = useState<What>(offered[0] ?? 'liking');
  const shown = offered.includes(what) ? what : (offered[0] ?? 'liking');
  return (
    <main id="main" className={styles['view']}>
      <div className={styles['top']}>
        <div>
          <h1>
            <a href={`/clients/${view.client.id}`}>{view.client.name}</a>
          </h1>
          <p>{progressWords.progressUpTo(view.today)}</p>
        </div>
        <div className={styles['links']}>
          <ButtonLink href={`/measures?client=${view.client.id}`}>{progressWords.figuresInAndOut}</ButtonLink>
          {(course || (details && (details.changes.length > 0 || details.remembered.length > 0))) && (
            <ButtonLink
              look="filled"
              href={`/api/clients/${view.client.id}/progress.pdf${course ? `?limb=${encodeURIComponent(`${course.side} ${course.limb}`)}` : ''}`}
            >
              {progressWords.reportAsPdf}
            </ButtonLink>
          )}
        </div>
      </div>
      {view.courses.length === 0 && view.visits.length === 0 && (
        <p className={styles['empty']}>{progressWords.nothingHasBeenMeasuredOrAsked}</p>
      )}
      <div className={styles['choices']}>
        {view.courses.length > 1 && (
          <Choice
            label={progressWords.limb}
            isLabelHidden
            options={view.courses.map(({ key, limb, side }) => ({ value: key, text: `${side} ${limb}` }))}
            value={courseKey ?? null}
            onChange={setCourseKey}
          />
        )}
        {offered.length > 0 && (
          <Choice
            label={progressWords.whatToLookAt}
            isLabelHidden
            options={offered.map((value) => ({ value, text: names[value] }))}
            value={shown}
            onChange={setWhat}
          />
        )}
      </div>
      {offered.length > 0 && <Panels key={courseKey} view={view} course={course} what={shown} />}
      {course?.points.some(({ excessMl }) => excessMl !== null) && (
        <CourseAhead key={`ahead ${courseKey}`} clientId={view.client.id} course={course} />
      )}
      {course && <FiguresTable key={`figures ${courseKey}`} course={course} visits={view.visits} />}
      <AskedDetails clientId={view.client.id} asked={asked}>
        {view.home.length > 0 && <AtHome home={view.home} />}
      </AskedDetails>
      {view.feedback.length > 0 && <FeedbackTable feedback={view.feedback} />}
      <p className={styles['foot']}>{progressWords.measuredByTapeAndToldBy}</p>
    </main>
  );
}

function offeredOf(view: View, course: LimbCourse | undefined): readonly What[] {
  const has = (pick: (visit: View['visits'][number]) => number | null) => view.visits.some((v) => pick(v) !== null);
  return [
    ...(course ? (['excess'] as const) : []),
    ...(course?.points.some(({ referenceMl }) => referenceMl !== null) ? (['volumes'] as const) : []),
    ...(course?.points.some(({ eightCm }) => eightCm !== null) ? (['eight'] as const) : []),
    ...(has((v) => v.heaviness ?? v.tightness ?? v.pain) ? (['feeling'] as const) : []),
    ...(has((v) => v.rednessRise) ? (['skin'] as const) : []),
    ...(has((v) => v.comfort ?? v.relaxationGain) ? (['liking'] as const) : []),
  ];
}

interface PanelsProps {
  readonly view: View;
  readonly course: LimbCourse | undefined;
  readonly what: What;
}

function Panels({ view, course, what }: PanelsProps) {
  const make = useCallback(
    (palette: Palette) => {
      if (what === 'feeling') return scoresOption(view.visits, feelings, palette);
      if (what === 'liking') return scoresOption(view.visits, likings, palette);
      if (what === 'skin') return fadeOption(view.visits, palette);
      if (!course) throw new Error(`there is no course to draw ${what} of`);
      return courseOption(course, view.visits, what, palette);
    },
    [course, view.visits, what],
  );
  const makeResponse = useCallback(
    (palette: Palette) => {
      if (!course) throw new Error('there is no course to draw responses of');
      return responseOption(course, palette);
    },
    [course],
  );
  const isOfLimb = what === 'excess' || what === 'volumes' || what === 'eight';
  const isSingle = isOfLimb && course?.points.length === 1;
  const title = titleOf(view, course, what);
  return (
    <div className={styles['panels']}>
      <section aria-label={progressWords.overTime}>
        <h2 className={styles['sentence']}>{title}</h2>
        {isOfLimb && course && <Facts course={course} />}
        {isSingle ? (
          <p className={styles['soft']}>{progressWords.aChartBeginsWithTheSecond}</p>
        ) : (
          <Drawn className={styles['chart']}>
            <ProgressChart
              make={make}
              label={progressWords.overTime2(names[what], title)}
              className={styles['chart'] ?? ''}
            />
          </Drawn>
        )}
        {isOfLimb && course && course.responses.length > 0 && (
          <>
            <h3 className={styles['sentence']}>{responseTitle(course)}</h3>
            <Drawn className={styles['second']}>
              <ProgressChart
                make={makeResponse}
                label={progressWords.responseAndRetentionByVisit(responseTitle(course))}
                className={styles['second'] ?? ''}
              />
            </Drawn>
          </>
        )}
      </section>
      {course && course.points.length > 1 && <CompareDates course={course} />}
    </div>
  );
}

function titleOf(view: View, course: LimbCourse | undefined, what: Quantity | 'feeling' | 'skin' | 'liking'): string {
  const reactions = view.visits.filter(
    ({ rednessVerdict }) => rednessVerdict === 'reaction' || rednessVerdict === 'watch',
  );
  switch (what) {
    case 'excess':
    case 'volumes':
      if (course?.points.length === 1) return progressWords.oneVisitSoFar;
      return volumeTrendInWords(
        course?.trends.excess ?? course?.trends.affected,
        volumesIn(course?.volumeUnit ?? 'ml'),
      );
    case 'eight':
      return trendInWords(course?.trends.eight, 'cm', 2, 'tapings');
    case 'feeling':
      return progressWords.howItFeelsToLowerIs;
    case 'skin':
      return reactions.length === 0
        ? progressWords.rednessHasAlwaysGoneWithinHalf
        : progressWords.rednessLastedLongerAfterOfVisits(
            countInWords(reactions.length),
            countInWords(view.visits.length),
          );
    case 'liking':
      return progressWords.comfortAndWhatTheVisitGave;
  }
}

function responseTitle(course: LimbCourse): string {
  const response = progressWords.eachVisitTakesAbout(volumesIn(course.volumeUnit).text(course.medianResponseMl ?? 0));
  const { medianRetentionPercent: held, medianExcessRetentionPercent: byExcess } = course;
  if (held === null) return progressWords.howMuchOfItHoldsIs(response);
  const excess = byExcess === null ? '' : progressWords.byExcess(formatNumber(byExcess));
  return progressWords.ofThatIsStillGoneAt(response, formatNumber(held), excess, countInWords(course.retentions));
}

/** The figures that answer “is it real?”, beside the chart's sentence. */
function Facts({ course }: { readonly course: LimbCourse }) {
  const newest = course.points.at(-1);
  if (!newest) return null;
  const { firstChange } = course;
  const volumes = volumesIn(course.volumeUnit);
  return (
    <div className={styles['facts']}>
      <div>
        <strong>{volumes.text(newest.excessMl ?? newest.affectedMl)}</strong>
        <span>
          {newest.excessPercent === null
            ? `${course.side} ${course.limb}`
            : progressWords.overTheOtherSide(formatNumber(newest.excessPercent, 1))}
          {newest.isProvisional && ', provisional'}
        </span>
      </div>
      {firstChange && (
        <div>
          <strong>{volumes.signed(firstChange.ml)}</strong>
          <span>
            {progressWords.sinceTheStart} {firstChange.isBeyond ? progressWords.beyond : progressWords.within}{' '}
            {progressWords.measuringError}
            {volumes.text(firstChange.limitMl)})
          </span>
        </div>
      )}
      {course.lastChangeMl !== null && (
        <div>
          <strong>{volumes.signed(course.lastChangeMl)}</strong>
          <span>
            {progressWords.sinceTheVisitBefore}{' '}
            {course.isLastChangeBeyond ? progressWords.beyond : progressWords.within} {progressWords.measuringError2}
          </span>
        </div>
      )}
      <div>
        <strong>
          {course.definition.isMet === null ? '–' : course.definition.isMet ? progressWords.met : progressWords.notMet}
        </strong>
        <span>{progressWords.by(course.definition.short)}</span>
      </div>
    </div>
  );
}

/** As the page shows it. */
export const ProgressIsland = unpacked(ProgressView);
