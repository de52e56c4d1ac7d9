import { pressureAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { CourseVisit, FeedbackLine, LimbCourse } from '../../contracts/progress-views';
import { formatNumber, formatSigned } from '../../core/units';
import styles from './ProgressView.module.css';

const shown = (value: number | null | undefined, decimals = 0) =>
  value === null || value === undefined ? '–' : formatNumber(value, decimals);

interface Props {
  readonly course: LimbCourse;
  readonly visits: readonly CourseVisit[];
}

/** Every figure of a course, newest first. */
export function FiguresTable({ course, visits }: Props) {
  const responses = new Map(course.responses.map((one) => [one.date, one]));
  const byVisit = new Map(visits.map((visit) => [visit.visitId, visit]));
  const hasOther = course.points.some(({ referenceMl }) => referenceMl !== null);
  return (
    <section className={styles['table']} aria-label="All figures">
      <h2>All figures</h2>
      <p className={styles['soft']}>
        {course.side} {course.limb}, {course.method}, {formatNumber(course.fromCm)} to {formatNumber(course.toCm)} cm;
        every volume is worked out afresh over this stretch.
        {course.lowest && ` Lowest ${formatNumber(course.lowest.ml)} mL on ${course.lowest.day}`}
        {course.highest && `, highest ${formatNumber(course.highest.ml)} mL on ${course.highest.day}.`}
        {course.reductionPercent !== null &&
          ` Excess reduced by ${formatNumber(course.reductionPercent, 1)} % since the start.`}
      </p>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label="Figures, scrolls sideways">
        <table>
          <thead>
            <tr>
              <th scope="col">Date</th>
              <th scope="col">{course.side}, mL</th>
              {hasOther && (
                <>
                  <th scope="col">other side, mL</th>
                  <th scope="col">excess, mL</th>
                  <th scope="col">excess, %</th>
                </>
              )}
              <th scope="col">after, mL</th>
              <th scope="col">response</th>
              <th scope="col">held</th>
              <th scope="col">heavy</th>
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
                    {shown(point.affectedMl)} <small>± {formatNumber(1.96 * point.affectedSdMl)}</small>
                  </td>
                  {hasOther && (
                    <>
                      <td>{shown(point.referenceMl)}</td>
                      <td>
                        {shown(point.excessMl)}{' '}
                        {point.excessSdMl !== null && <small>± {formatNumber(1.96 * point.excessSdMl)}</small>}
                      </td>
                      <td>{shown(point.excessPercent, 1)}</td>
                    </>
                  )}
                  <td>{shown(point.afterMl)}</td>
                  <td>{response ? `${formatSigned(-response.responseMl)} mL` : '–'}</td>
                  <td>
                    {response?.retentionPercent === null || response === undefined
                      ? '–'
                      : `${formatNumber(response.retentionPercent)} %`}
                  </td>
                  <td>{shown(visit?.heaviness)}</td>
                  <td>{visit ? fadeWords(visit) : '–'}</td>
                  <td className={styles['words']}>
                    {visit ? `${visit.work}${visit.steps === null ? '' : `, ${visit.steps} steps`}` : 'brought in'}
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
