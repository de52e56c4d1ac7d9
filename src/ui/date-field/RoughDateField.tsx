import { useState } from 'react';
import { readRoughDate, writeRoughDate } from '../../core/calendar/read-date';
import { Field } from '../field/Field';
import { useDateOrder } from './date-order';

interface Props {
  readonly label: string;
  /** YYYY, YYYY-MM or YYYY-MM-DD; '' for none. */
  readonly value: string;
  readonly error: string | undefined;
  readonly className?: string | undefined;
  /** What is no date comes as it was typed, for the house to refuse at its field. */
  readonly onDate: (date: string) => void;
  /** It was left, or Enter was pressed. */
  readonly onKeep?: (date: string) => void;
}

/** A date of which often only the year is known, typed as the house writes dates. */
export function RoughDateField({ label, value, error, className, onDate, onKeep }: Props) {
  const order = useDateOrder();
  const [typed, setTyped] = useState<string>();
  const text = typed ?? writeRoughDate(value, order);
  const dateOf = (said: string) => readRoughDate(said, order) ?? said.trim();
  const keep = () => {
    setTyped(undefined);
    onKeep?.(dateOf(text));
  };
  return (
    <Field
      label={label}
      value={text}
      placeholder={writeRoughDate('2024-03', order)}
      maxLength={10}
      autoComplete="off"
      onChange={(event) => {
        setTyped(event.target.value);
        onDate(dateOf(event.target.value));
      }}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
      error={error}
      className={className ?? ''}
    />
  );
}
