import { closeWords } from './close.words';
import { scentAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { FeedbackField } from '../../contracts/closing';
import { needsAnswerNow } from '../../core/skin/feedback';
import { Choice } from '../../ui/choice/Choice';
import { type Answers, tenths, textOf } from './answers';
import styles from './Feedback.module.css';

interface Props {
  readonly answers: Answers;
  readonly onAnswer: (change: Partial<Answers>) => void;
  readonly isScented: boolean;
  readonly isFixed: boolean;
}

const numbered = (options: readonly { readonly value: number; readonly text: string }[]) =>
  options.map(({ value, text }) => ({ value: String(value), text }));

/** The scales, asked by the therapist, or answered by the client on the tablet. */
export function Feedback({ answers, onAnswer, isScented, isFixed }: Props) {
  const now = needsAnswerNow(answers);
  const row = (
    field: FeedbackField,
    label: string,
    options: readonly { readonly value: string; readonly text: string }[],
  ) => (
    <div className={styles['asked']} data-own={answers.byClient.includes(field) || undefined}>
      <Choice
        isRow
        label={label}
        options={options}
        value={textOf(answers[field])}
        onChange={(value) => onAnswer({ [field]: Number(value) })}
        isDisabled={isFixed}
      />
      {answers.byClient.includes(field) && <small>{closeWords.saidByTheClient}</small>}
    </div>
  );
  return (
    <>
      {row('pressure', closeWords.factPressure, [
        { value: '-1', text: closeWords.lighterNextTime },
        { value: '0', text: closeWords.justRight },
        { value: '1', text: closeWords.couldBeDeeper },
      ])}
      {now && (
        <p className={styles['now']} role="alert">
          {now === 'lighter' ? closeWords.lighterPleaseNow : closeWords.tooHotCoolItNow}
        </p>
      )}
      {row('comfort', closeWords.comfort0To10, tenths)}
      {row('relaxationBefore', closeWords.relaxedBeforeTo, tenths)}
      {row('relaxationAfter', closeWords.relaxedNowTo, tenths)}
      {row('warmth', closeWords.factWarmth, numbered(warmthAnswers))}
      {isScented && row('scent', closeWords.factScent, numbered(scentAnswers))}
    </>
  );
}
