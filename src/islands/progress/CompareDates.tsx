import { progressWords } from './progress.words';
import { useState } from 'react';
import type { CoursePoint, LimbCourse } from '../../contracts/progress-views';
import { formatNumber } from '../../core/units';
import { volumesIn } from '../../core/volume-units';
import { useIsBrowser } from '../../ui/charts/Drawn';
import { Select } from '../../ui/field/Field';
import { LimbMap } from '../measure/LimbMap';
import type { Band } from '../measure/TapeLines';
import styles from './ProgressView.module.css';

/** A change of a stretch smaller than this (mL) is not worth a tint. */
const leastMl = 2;

/** Two dates held against each other on the body: where it has become smaller, and where larger. */
export function CompareDates({ course }: { readonly course: LimbCourse }) {
  const { points, stretches, limb, side } = course;
  const volumes = volumesIn(course.volumeUnit);
  const [from, setFrom] = useState(points[0]?.date ?? '');
  const [to, setTo] = useState(points.at(-1)?.date ?? '');
  const [earlier, later] = [points.find(({ date }) => date === from), points.find(({ date }) => date === to)];
  const changes = earlier && later ? changesBetween(stretches, earlier, later) : [];
  const total = changes.reduce((sum, { ml }) => sum + ml, 0);
  const most = Math.max(1, ...changes.map(({ ml }) => Math.abs(ml)));
  const bands = changes
    .filter(({ ml }) => Math.abs(ml) >= leastMl)
    .map((change): Band => ({
      fromCm: change.from,
      toCm: change.to,
      strength: Math.abs(change.ml) / most,
      tone: change.ml < 0 ? 'smaller' : 'larger',
    }));
  const positions = stretches.flatMap((one, i) => (i === 0 ? [one.from, one.to] : [one.to]));
  const strongest = [...changes].sort((a, b) => Math.abs(b.ml) - Math.abs(a.ml))[0];
  return (
    <section className={styles['compare']} aria-label={progressWords.twoDatesCompared}>
      <div className={styles['dates']}>
        <DateSelect label={progressWords.from} value={from} points={points} onChange={setFrom} />
        <DateSelect label={progressWords.to} value={to} points={points} onChange={setTo} />
      </div>
      <div className={styles['map']}>
        <LimbMap
          label={progressWords.changeOfTheBetweenTwoDates(side, limb)}
          limb={limb}
          side={side}
          positionsCm={positions}
          bands={bands}
        />
        <ol className={styles['stretches']} aria-label={progressWords.changeOfEachStretch}>
          {changes.toReversed().map((one) => (
            <li key={one.from} data-tone={Math.abs(one.ml) < leastMl ? undefined : one.ml < 0 ? 'smaller' : 'larger'}>
              <span>{progressWords.cm(formatNumber(one.from), formatNumber(one.to))}</span>
              <strong>{volumes.signedBare(one.ml)}</strong>
            </li>
          ))}
        </ol>
      </div>
      <p className={styles['soft']}>
        {from === to
          ? progressWords.chooseTwoDifferentDates
          : progressWords.byInAll(
              total < 0 ? progressWords.smaller : progressWords.larger,
              volumes.text(Math.abs(total)),
              strongest
                ? progressWords.mostBetweenAndCm(
                    formatNumber(strongest.from),
                    formatNumber(strongest.to),
                    volumes.signed(strongest.ml),
                  )
                : '',
            )}
      </p>
    </section>
  );
}

function changesBetween(stretches: LimbCourse['stretches'], earlier: CoursePoint, later: CoursePoint) {
  return stretches.flatMap((stretch, i) => {
    const [was, is] = [earlier.stretchMl[i] ?? null, later.stretchMl[i] ?? null];
    return was === null || is === null ? [] : [{ ...stretch, ml: is - was }];
  });
}

interface SelectProps {
  readonly label: string;
  readonly value: string;
  readonly points: readonly CoursePoint[];
  readonly onChange: (date: string) => void;
}

/** The page comes with the date that is chosen; what else could be chosen waits for the browser. */
function DateSelect({ label, value, points, onChange }: SelectProps) {
  const isBrowser = useIsBrowser();
  const shown = isBrowser ? points : points.filter(({ date }) => date === value);
  return (
    <Select label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {shown.map(({ date, day }) => (
        <option key={date} value={date}>
          {day}
        </option>
      ))}
    </Select>
  );
}
