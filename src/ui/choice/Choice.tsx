import { useId } from 'react';
import styles from './Choice.module.css';

interface Props<V extends string> {
  readonly label: string;
  readonly isLabelHidden?: boolean;
  /** The label stands before the options, in a column that rows share. */
  readonly isRow?: boolean;
  readonly options: readonly { readonly value: V; readonly text: string; readonly tone?: 'brick' | 'moss' }[];
  readonly value: V | null;
  readonly onChange: (value: V) => void;
  readonly isDisabled?: boolean;
}

/** One of a few, side by side. The browser's own radio buttons: arrow keys walk them, and they cost nothing to draw. */
export function Choice<V extends string>({
  label,
  isLabelHidden = false,
  isRow = false,
  options,
  value,
  onChange,
  isDisabled = false,
}: Props<V>) {
  const id = useId();
  return (
    <div
      className={styles['group']}
      role="radiogroup"
      aria-labelledby={id}
      aria-disabled={isDisabled || undefined}
      data-row={isRow || undefined}
    >
      <span id={id} className={isLabelHidden ? 'visually-hidden' : styles['label']}>
        {label}
      </span>
      <div className={styles['options']}>
        {options.map((option) => (
          <label key={option.value} className={styles['option']} data-tone={option.tone}>
            <input
              type="radio"
              className="visually-hidden"
              name={id}
              value={option.value}
              checked={option.value === value}
              disabled={isDisabled}
              onChange={() => onChange(option.value)}
            />
            {option.text}
          </label>
        ))}
      </div>
    </div>
  );
}
