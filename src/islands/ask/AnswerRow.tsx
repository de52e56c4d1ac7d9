import { askWords } from './ask.words';
import { type ReactNode, useEffect, useRef } from 'react';
import { Choice } from '../../ui/choice/Choice';
import type { Answer } from './useAsk';
import styles from './AnswerRow.module.css';

interface Props {
  readonly text: string;
  readonly hint?: string | undefined;
  /** What stands on record and belongs here. */
  readonly told?: readonly string[];
  readonly isCurrent: boolean;
  readonly isGate?: boolean;
  readonly value: Answer | null;
  readonly options: readonly Answer[];
  /** A yes that ends the visit. */
  readonly isFlag?: boolean;
  readonly onAnswer: (answer: Answer) => void;
  readonly onFocus: () => void;
  readonly children?: ReactNode;
}

const texts: Readonly<Record<Answer, string>> = { no: 'no', yes: 'yes', unsure: askWords.notSure };

/** One question with its answers side by side; the one at hand comes into sight by itself. */
export function AnswerRow(props: Props) {
  const { text, hint, told = [], isCurrent, isGate, value, options, isFlag, onAnswer, onFocus, children } = props;
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isCurrent) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isCurrent]);
  return (
    <li
      ref={row}
      data-current={isCurrent ? true : undefined}
      data-gate={isGate ? true : undefined}
      data-open={value === null ? true : undefined}
      onFocus={onFocus}
      onPointerDown={onFocus}
    >
      <div className={styles['line']}>
        <div>
          <p>{text}</p>
          {hint && <small>{hint}</small>}
          {told.map((one) => (
            <small key={one} data-told>
              {one}
            </small>
          ))}
        </div>
        <Choice
          label={text}
          isLabelHidden
          options={options.map((option) => ({
            value: option,
            text: texts[option],
            ...(isFlag && option === 'yes' ? { tone: 'brick' as const } : {}),
          }))}
          value={value}
          onChange={onAnswer}
        />
      </div>
      {children}
    </li>
  );
}
