import type { ChangeView } from '../../contracts/change-views';
import { changesWords } from './changes.words';
import styles from './Changes.module.css';
import { Details } from './ChangesOfVisit';
import { medianHeld } from './figures';
import { changeText, figuresText, figureText, verdictOf } from '../../core/change/figure-text';
import { NeckFan } from './NeckFan';

/** Everything that was measured before and after, over the visits: what was gained, what held, and how it began each time. */
export function ChangesOverVisits({ changes }: { readonly changes: readonly ChangeView[] }) {
  if (changes.length === 0) return null;
  const details = changes.filter(({ isDetail }) => isDetail);
  return (
    <section className={styles['overVisits']} aria-label={changesWords.visitByVisit}>
      <h2>{changesWords.visitByVisit}</h2>
      <p>{changesWords.aboutIt}</p>
      <Table label={changesWords.visitByVisit} changes={changes.filter(({ isDetail }) => !isDetail)} />
      <Details count={details.length}>
        <Table label={changesWords.pointByPoint(details.length)} changes={details} />
      </Details>
      <NeckFan changes={changes} />
    </section>
  );
}

function Table({ label, changes }: { readonly label: string; readonly changes: readonly ChangeView[] }) {
  return (
    <div className={styles['scroll']} role="group" aria-label={label} tabIndex={0}>
      <table className={styles['table']}>
        <thead>
          <tr>
            <th scope="col">{changesWords.what}</th>
            <th scope="col">{changesWords.lastVisit}</th>
            <th scope="col">{changesWords.gained}</th>
            <th scope="col">{changesWords.held}</th>
            <th scope="col">{changesWords.course}</th>
          </tr>
        </thead>
        <tbody>
          {changes.map((change) => (
            <Row key={change.key} change={change} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Row({ change }: { readonly change: ChangeView }) {
  const { name, unit, steps, visits } = change;
  const last = visits.findLast((one) => one.change !== null) ?? visits.at(-1);
  const held = medianHeld(change);
  if (!last) return null;
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>
        {figuresText(change, last)} <small>{last.day}</small>
      </td>
      <td data-label={changesWords.gained}>
        {last.change === null ? (
          changesWords.notKnown
        ) : (
          <>
            {changeText(unit, last.change, steps)} <small>{verdictOf(last)}</small>
          </>
        )}
      </td>
      <td data-label={changesWords.held}>{held ? heldText(held) : changesWords.notKnown}</td>
      <td>
        <Course change={change} />
      </td>
    </tr>
  );
}

function heldText({ percent, count }: { readonly percent: number; readonly count: number }): string {
  if (percent <= 0) return changesWords.lostAgain;
  if (percent > 100) return changesWords.heldAndMore;
  return changesWords.medianOf(percent.toFixed(0), count);
}

const [width, height] = [120, 30];

/** How it stood before each visit, as a line of points. */
function Course({ change: { unit, steps, visits } }: { readonly change: ChangeView }) {
  const values = visits.flatMap(({ before }) => before ?? []);
  if (values.length < 2) return null;
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const x = (i: number) => 4 + ((width - 8) * i) / (values.length - 1);
  const y = (value: number) => (most === least ? height / 2 : 4 + ((height - 8) * (most - value)) / (most - least));
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={changesWords.courseOf(values.map((value) => figureText(unit, value, steps)).join(', '))}
    >
      <polyline points={values.map((value, i) => `${x(i).toFixed(1)},${y(value).toFixed(1)}`).join(' ')} />
      {values.map((value, i) => (
        <circle key={i} cx={x(i)} cy={y(value)} r="2.6" />
      ))}
    </svg>
  );
}
