import type { Phase } from '../../core/course/course';
import { intervalInWords } from '../../core/course/course-words';
import { Select } from '../../ui/field/Field';
import styles from './CourseAhead.module.css';
import { progressWords } from './progress.words';

/** First so many visits often, then seldom for the rest of the time. */
export interface TwoPhases {
  readonly firstDays: number;
  readonly firstVisits: number;
  readonly thenDays: number;
}

const usual: TwoPhases = { firstDays: 3, firstVisits: 5, thenDays: 14 };
const counts = [2, 3, 4, 5, 6, 8, 10];

export const phasesOf = ({ firstDays, firstVisits, thenDays }: TwoPhases): readonly Phase[] => [
  [firstDays, firstVisits],
  [thenDays, null],
];

interface Props {
  readonly intervals: readonly number[];
  readonly phases: TwoPhases | undefined;
  readonly onPhases: (phases: TwoPhases | undefined) => void;
}

/** A course in two phases: often at the beginning, then to hold what was gained. */
export function Phases({ intervals, phases, onPhases }: Props) {
  const pick = (
    label: string,
    value: number,
    options: readonly number[],
    text: (n: number) => string,
    key: keyof TwoPhases,
  ) => (
    <Select
      label={label}
      value={value}
      onChange={({ target }) => phases && onPhases({ ...phases, [key]: Number(target.value) })}
    >
      {options.map((one) => (
        <option key={one} value={one}>
          {text(one)}
        </option>
      ))}
    </Select>
  );
  return (
    <fieldset className={styles['phases']}>
      <label className={styles['whether']}>
        <input
          type="checkbox"
          checked={phases !== undefined}
          onChange={({ target }) => onPhases(target.checked ? usual : undefined)}
        />
        {progressWords.inTwoPhases}
      </label>
      {phases && (
        <div className={styles['asked']}>
          {pick(progressWords.firstVisits, phases.firstVisits, counts, String, 'firstVisits')}
          {pick(progressWords.everyFirst, phases.firstDays, intervals, intervalInWords, 'firstDays')}
          {pick(progressWords.thenEvery, phases.thenDays, intervals, intervalInWords, 'thenDays')}
        </div>
      )}
    </fieldset>
  );
}
