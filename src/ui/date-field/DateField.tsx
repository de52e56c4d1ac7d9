import { CalendarDays } from 'lucide-react';
import { type Ref, useRef, useState } from 'react';
import { dateInWords } from '../../core/language';
import { type DateOrder, readDate, writeDate } from '../../core/calendar/read-date';
import { Field } from '../field/Field';
import { dateFieldWords } from './date-field.words';
import { useDateOrder } from './date-order';
import styles from './DateField.module.css';

interface Props {
  readonly label: string;
  /** YYYY-MM-DD, or '' for none. Left out: the field keeps its own, from `first` on. */
  readonly value?: string | undefined;
  readonly first?: string | undefined;
  /** Of the form that it belongs to, where that one reads its fields itself. */
  readonly name?: string | undefined;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly autoFocus?: boolean;
  /** YYYY-MM-DD once it is a date, '' when it is emptied; what is no date, as it was typed, so that nobody takes it for one. */
  readonly onDay?: (day: string) => void;
  readonly onBlur?: () => void;
  readonly ref?: Ref<HTMLInputElement>;
}

const patterns: Readonly<Record<DateOrder, string>> = {
  'day-month-year': dateFieldWords.dayFirst,
  'month-day-year': dateFieldWords.monthFirst,
  'year-month-day': dateFieldWords.yearFirst,
};
const isDay = (text: string) => /^\d{4}-\d\d-\d\d$/.test(text);
/** An example that cannot be read in another order. */
const exampleDay = '2026-04-18';

/**
 * A date, typed as the house writes dates, with or without anything between its parts; below it, what was understood. The
 * calendar beside it is the device's own.
 */
export function DateField({ label, value, first = '', name, hint, error, autoFocus, onDay, onBlur, ref }: Props) {
  const order = useDateOrder();
  const [own, setOwn] = useState(first);
  const [typed, setTyped] = useState<string>();
  // What stood there already was left by somebody before, such as the address of a page.
  const [isLeft, setIsLeft] = useState(true);
  const calendar = useRef<HTMLInputElement>(null);
  const day = value ?? own;
  const take = (next: string) => {
    setOwn(next);
    onDay?.(next);
  };
  const isWrong = isLeft && day !== '' && !isDay(day);
  const understood = isDay(day) ? dateInWords('en', day) : undefined;
  return (
    <div className={styles['date']}>
      <Field
        ref={ref}
        label={label}
        placeholder={patterns[order]}
        inputMode="numeric"
        autoComplete="off"
        autoFocus={autoFocus}
        maxLength={24}
        value={typed ?? writeDate(day, order)}
        hint={[understood, hint].filter(Boolean).join(' · ') || undefined}
        error={error ?? (isWrong ? dateFieldWords.isNoDate(writeDate(exampleDay, order)) : undefined)}
        onChange={(event) => {
          const text = event.target.value;
          setTyped(text);
          setIsLeft(false);
          take(readDate(text, order) ?? text.trim());
        }}
        onBlur={() => {
          setTyped(undefined);
          setIsLeft(true);
          onBlur?.();
        }}
      />
      <button
        type="button"
        className={styles['calendar']}
        aria-label={dateFieldWords.chooseInTheCalendar(label)}
        onClick={() => calendar.current?.showPicker()}
      >
        <CalendarDays aria-hidden size={20} />
      </button>
      <input
        ref={calendar}
        className={styles['device']}
        type="date"
        tabIndex={-1}
        aria-hidden
        value={isDay(day) ? day : ''}
        onChange={(event) => {
          setTyped(undefined);
          take(event.target.value);
        }}
      />
      {name !== undefined && <input type="hidden" name={name} value={day} />}
    </div>
  );
}
