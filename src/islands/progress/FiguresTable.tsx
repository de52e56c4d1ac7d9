import { useState } from 'react';
import { progressWords } from './progress.words';
import type { Millilitres } from '../../core/quantities';
import { pressureAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { CourseVisit, FeedbackLine, LimbCourse, SeenTable } from '../../contracts/progress-views';
import { formatNumber, formatSigned } from '../../core/units';
import { volumesIn } from '../../core/volume-units';
import { Button } from '../../ui/button/Button';
import styles from './ProgressView.module.css';

const shown = (value: number | null, decimals = 0) => (value === null ? '–' : formatNumber(value, decimals));
const percent = (value: number | null | undefined) => (value == null ? '–' : `${formatNumber(value)} %`);

interface Props {
  readonly course: LimbCourse;
  readonly visits: readonly CourseVisit[];
}

/** What a look at the last visits takes; the rest is one press away. */
const shownFirst = 12;

interface ShowAllProps {
  readonly rows: readonly unknown[];
  readonly all: readonly unknown[];
  readonly onShow: () => void;
}

function ShowAll({ rows, all, onShow }: ShowAllProps) {
  if (rows.length === all.length) return null;
  return (
    <Button look="link" onClick={onShow}>
      {progressWords.showAll(all.length)}
    </Button>
  );
}

/** Every figure of a course, newest first. */
export function FiguresTable({ course, visits }: Props) {
  const [isWhole, setIsWhole] = useState(false);
  const volumes = volumesIn(course.volumeUnit);
  const rows = isWhole ? course.points.toReversed() : course.points.toReversed().slice(0, shownFirst);
  const millilitres = (ml: Millilitres | null) => (ml === null ? '–' : volumes.bare(ml));
  const responses = new Map(course.responses.map((one) => [one.date, one]));
  const byVisit = new Map(visits.map((visit) => [visit.visitId, visit]));
  const hasExcessHeld = course.responses.some(({ excessRetentionPercent }) => excessRetentionPercent !== null);
  const hasOther = course.points.some(({ referenceMl }) => referenceMl !== null);
  return (
    <section className={styles['table']} aria-label={progressWords.allFigures}>
      <h2>{progressWords.allFigures}</h2>
      <p className={styles['soft']}>
        {course.side} {course.limb}, {course.method}, {formatNumber(course.fromCm)} {progressWords.to2}{' '}
        {formatNumber(course.toCm)} {progressWords.cmEveryVolumeIsWorkedOut}
        {course.lowest && progressWords.lowestOn(volumes.text(course.lowest.ml), course.lowest.day)}
        {course.highest && progressWords.highestOn(volumes.text(course.highest.ml), course.highest.day)}
        {course.reductionPercent !== null &&
          progressWords.excessReducedBySinceTheStart(formatNumber(course.reductionPercent, 1))}
      </p>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label={progressWords.figuresScrollsSideways}>
        <table>
          <thead>
            <tr>
              <th scope="col">{progressWords.date}</th>
              <th scope="col">
                {course.side}, {volumes.name}
              </th>
              {hasOther && (
                <>
                  <th scope="col">{progressWords.otherSide(volumes.name)}</th>
                  <th scope="col">{progressWords.excess(volumes.name)}</th>
                  <th scope="col">{progressWords.excess2}</th>
                </>
              )}
              <th scope="col">{progressWords.after(volumes.name)}</th>
              <th scope="col">{progressWords.response}</th>
              <th scope="col">{progressWords.held}</th>
              {hasExcessHeld && <th scope="col">{progressWords.heldByExcess}</th>}
              <th scope="col">{progressWords.rednessGone}</th>
              <th scope="col" className={styles['words']}>
                {progressWords.whatWasDone}
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map((point) => {
              const response = responses.get(point.date);
              const visit = point.visitId === null ? undefined : byVisit.get(point.visitId);
              return (
                <tr key={`${point.date} ${point.visitId ?? ''}`}>
                  <th scope="row">
                    {point.day}
                    {point.isProvisional && <em> {progressWords.provisional}</em>}
                  </th>
                  <td>
                    {volumes.bare(point.affectedMl)} <small>± {volumes.bare(1.96 * point.affectedSdMl)}</small>
                  </td>
                  {hasOther && (
                    <>
                      <td>{millilitres(point.referenceMl)}</td>
                      <td>
                        {millilitres(point.excessMl)}{' '}
                        {point.excessSdMl !== null && <small>± {volumes.bare(1.96 * point.excessSdMl)}</small>}
                      </td>
                      <td>{shown(point.excessPercent, 1)}</td>
                    </>
                  )}
                  <td>{millilitres(point.afterMl)}</td>
                  <td>{response ? volumes.signed(-response.responseMl) : '–'}</td>
                  <td>{percent(response?.retentionPercent)}</td>
                  {hasExcessHeld && <td>{percent(response?.excessRetentionPercent)}</td>}
                  <td>{visit ? fadeWords(visit) : '–'}</td>
                  <td className={styles['words']}>
                    {visit
                      ? `${visit.work}${visit.steps === null ? '' : progressWords.steps(visit.steps)}${visit.homeTimes ? progressWords.atHomeBeforeIt(visit.homeTimes) : ''}`
                      : progressWords.broughtIn}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <ShowAll rows={rows} all={course.points} onShow={() => setIsWhole(true)} />
      {course.leftOut.length > 0 && (
        <p className={styles['soft']}>
          {progressWords.notPartOfThisSeries} {course.leftOut.map(({ day, why }) => `${day} (${why})`).join(', ')}.
        </p>
      )}
    </section>
  );
}

function fadeWords({ rednessRise, fadeMinutes }: CourseVisit): string {
  if (rednessRise === null) return '–';
  if (rednessRise === 0) return 'none';
  if (fadeMinutes === null) return progressWords.notLooked;
  return fadeMinutes < 0 ? progressWords.notYetAtMin : progressWords.min(fadeMinutes);
}

/** What was felt, seen and asked, visit by visit. */
export function SeenFigures({ seen }: { readonly seen: SeenTable }) {
  const [isWhole, setIsWhole] = useState(false);
  const rows = isWhole ? seen.rows : seen.rows.slice(0, shownFirst);
  return (
    <section className={styles['table']} aria-label={progressWords.feltSeenAndAsked}>
      <h2>{progressWords.feltSeenAndAskedBeforeThe}</h2>
      <div
        className={styles['scroll']}
        tabIndex={0}
        role="group"
        aria-label={progressWords.feltSeenAndAskedScrollsSideways}
      >
        <table>
          <thead>
            <tr>
              <th scope="col">{progressWords.date}</th>
              {seen.columns.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ visitId, day, cells }) => (
              <tr key={visitId}>
                <th scope="row">{day}</th>
                {cells.map((cell, i) => (
                  <td key={seen.columns[i]}>{cell ?? '–'}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <ShowAll rows={rows} all={seen.rows} onShow={() => setIsWhole(true)} />
    </section>
  );
}

/** What the client says over the visits; a preference is what the last three answers agree on. */
export function FeedbackTable({ feedback }: { readonly feedback: readonly FeedbackLine[] }) {
  return (
    <section className={styles['table']} aria-label={progressWords.feedback}>
      <h2>{progressWords.whatTheClientSays}</h2>
      <div
        className={styles['scroll']}
        tabIndex={0}
        role="group"
        aria-label={progressWords.whatTheClientSaysScrollsSideways}
      >
        <table>
          <thead>
            <tr>
              <th scope="col">{progressWords.asked}</th>
              <th scope="col">{progressWords.last}</th>
              <th scope="col">{progressWords.median}</th>
              <th scope="col">{progressWords.times}</th>
              <th scope="col">{progressWords.threeInARow}</th>
            </tr>
          </thead>
          <tbody>
            {feedback.map((line) => (
              <tr key={line.what}>
                <th scope="row">{line.what}</th>
                <td>{answerWords(line.what, line.last)}</td>
                <td>{answerWords(line.what, line.median)}</td>
                <td>{line.count}</td>
                <td>{line.preferred === null ? '–' : answerWords(line.what, line.preferred)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function answerWords(what: FeedbackLine['what'], value: number | null): string {
  if (value === null) return '–';
  const scale = what === 'pressure' ? pressureAnswers : what === 'warmth' ? warmthAnswers : undefined;
  const said = scale?.find((one) => one.value === value)?.text;
  if (said) return said;
  return what === 'relaxation gain' ? formatSigned(value) : formatNumber(value, Number.isInteger(value) ? 0 : 1);
}
