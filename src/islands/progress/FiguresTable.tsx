import type { Millilitres } from '../../core/quantities';
import { pressureAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { CourseVisit, FeedbackLine, LimbCourse, SeenTable } from '../../contracts/progress-views';
import { formatNumber, formatSigned } from '../../core/units';
import { volumesIn } from '../../core/volume-units';
import styles from './ProgressView.module.css';

const shown = (value: number | null, decimals = 0) => (value === null ? '–' : formatNumber(value, decimals));
const percent = (value: number | null | undefined) => (value == null ? '–' : `${formatNumber(value)} %`);

interface Props {
  readonly course: LimbCourse;
  readonly visits: readonly CourseVisit[];
}

/** Every figure of a course, newest first. */
export function FiguresTable({ course, visits }: Props) {
  const volumes = volumesIn(course.volumeUnit);
  const millilitres = (ml: Millilitres | null) => (ml === null ? '–' : volumes.bare(ml));
  const responses = new Map(course.responses.map((one) => [one.date, one]));
  const byVisit = new Map(visits.map((visit) => [visit.visitId, visit]));
  const hasExcessHeld = course.responses.some(({ excessRetentionPercent }) => excessRetentionPercent !== null);
  const hasOther = course.points.some(({ referenceMl }) => referenceMl !== null);
  return (
    <section className={styles['table']} aria-label="All figures">
      <h2>All figures</h2>
      <p className={styles['soft']}>
        {course.side} {course.limb}, {course.method}, {formatNumber(course.fromCm)} to {formatNumber(course.toCm)} cm;
        every volume is worked out afresh over this stretch.
        {course.lowest && ` Lowest ${volumes.text(course.lowest.ml)} on ${course.lowest.day}`}
        {course.highest && `, highest ${volumes.text(course.highest.ml)} on ${course.highest.day}.`}
        {course.reductionPercent !== null &&
          ` Excess reduced by ${formatNumber(course.reductionPercent, 1)} % since the start.`}
      </p>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label="Figures, scrolls sideways">
        <table>
          <thead>
            <tr>
              <th scope="col">Date</th>
              <th scope="col">
                {course.side}, {volumes.name}
              </th>
              {hasOther && (
                <>
                  <th scope="col">other side, {volumes.name}</th>
                  <th scope="col">excess, {volumes.name}</th>
                  <th scope="col">excess, %</th>
                </>
              )}
              <th scope="col">after, {volumes.name}</th>
              <th scope="col">response</th>
              <th scope="col">held</th>
              {hasExcessHeld && <th scope="col">held, by excess</th>}
              <th scope="col">redness gone</th>
              <th scope="col" className={styles['words']}>
                What was done
              </th>
            </tr>
          </thead>
          <tbody>
            {course.points.toReversed().map((point) => {
              const response = responses.get(point.date);
              const visit = point.visitId === null ? undefined : byVisit.get(point.visitId);
              return (
                <tr key={`${point.date} ${point.visitId ?? ''}`}>
                  <th scope="row">
                    {point.day}
                    {point.isProvisional && <em> provisional</em>}
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
                      ? `${visit.work}${visit.steps === null ? '' : `, ${visit.steps} steps`}${visit.homeTimes ? `; at home ${visit.homeTimes} × before it` : ''}`
                      : 'brought in'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {course.leftOut.length > 0 && (
        <p className={styles['soft']}>
          Not part of this series: {course.leftOut.map(({ day, why }) => `${day} (${why})`).join(', ')}.
        </p>
      )}
    </section>
  );
}

function fadeWords({ rednessRise, fadeMinutes }: CourseVisit): string {
  if (rednessRise === null) return '–';
  if (rednessRise === 0) return 'none';
  if (fadeMinutes === null) return 'not looked';
  return fadeMinutes < 0 ? 'not yet at 30 min' : `${fadeMinutes} min`;
}

/** What was felt, seen and asked, visit by visit. */
export function SeenFigures({ seen }: { readonly seen: SeenTable }) {
  return (
    <section className={styles['table']} aria-label="Felt, seen and asked">
      <h2>Felt, seen and asked before the work</h2>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label="Felt, seen and asked, scrolls sideways">
        <table>
          <thead>
            <tr>
              <th scope="col">Date</th>
              {seen.columns.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {seen.rows.map(({ visitId, day, cells }) => (
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
    </section>
  );
}

/** What the client says over the visits; a preference is what the last three answers agree on. */
export function FeedbackTable({ feedback }: { readonly feedback: readonly FeedbackLine[] }) {
  return (
    <section className={styles['table']} aria-label="Feedback">
      <h2>What the client says</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Asked</th>
            <th scope="col">last</th>
            <th scope="col">median</th>
            <th scope="col">times</th>
            <th scope="col">three in a row</th>
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
