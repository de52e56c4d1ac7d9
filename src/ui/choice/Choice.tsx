import { Label, Radio, RadioGroup } from 'react-aria-components';
import styles from './Choice.module.css';

interface Props<V extends string> {
  readonly label: string;
  readonly isLabelHidden?: boolean;
  readonly options: readonly { readonly value: V; readonly text: string; readonly tone?: 'brick' | 'moss' }[];
  readonly value: V | null;
  readonly onChange: (value: V) => void;
  readonly isDisabled?: boolean;
}

/** One of a few, side by side: a radio group that arrow keys walk. */
export function Choice<V extends string>({
  label,
  isLabelHidden = false,
  options,
  value,
  onChange,
  isDisabled = false,
}: Props<V>) {
  return (
    <RadioGroup
      className={styles['group'] ?? ''}
      value={value}
      onChange={(next) => onChange(next as V)}
      orientation="horizontal"
      isDisabled={isDisabled}
    >
      <Label className={isLabelHidden ? 'visually-hidden' : (styles['label'] ?? '')}>{label}</Label>
      <div className={styles['options']}>
        {options.map((option) => (
          <Radio key={option.value} value={option.value} className={styles['option'] ?? ''} data-tone={option.tone}>
            {option.text}
          </Radio>
        ))}
      </div>
    </RadioGroup>
  );
}
