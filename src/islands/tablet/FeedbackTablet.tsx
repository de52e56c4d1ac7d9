import { useRef, useState } from 'react';
import { scentAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { FeedbackTabletView } from '../../contracts/ask-views';
import type { FeedbackField } from '../../contracts/closing';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { PinForm } from '../door/PinForm';
import { keepTrying } from './keep-trying';
import styles from './Tablet.module.css';
import { send } from '../api';

interface Question {
  readonly field: FeedbackField;
  readonly ask: string;
  readonly options: readonly { readonly value: string; readonly text: string }[];
}

const tenths = Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }));
const numbered = (options: readonly { readonly value: number; readonly text: string }[]) =>
  options.map(({ value, text }) => ({ value: String(value), text }));

/** Only how it was: no names of illnesses, nothing of the record. */
const questionsOf = ({ isScented }: FeedbackTabletView): readonly Question[] => [
  {
    field: 'pressure',
    ask: 'How was the pressure?',
    options: [
      { value: '-1', text: 'lighter, please' },
      { value: '0', text: 'just right' },
      { value: '1', text: 'could be deeper' },
    ],
  },
  { field: 'comfort', ask: 'How comfortable was it? 0: not at all, 10: it could not be better', options: tenths },
  { field: 'relaxationBefore', ask: 'How relaxed were you when you came?', options: tenths },
  { field: 'relaxationAfter', ask: 'How relaxed are you now?', options: tenths },
  { field: 'warmth', ask: 'How was the warmth?', options: numbered(warmthAnswers) },
  ...(isScented
    ? [{ field: 'scent' as const, ask: 'How did you like the scent?', options: numbered(scentAnswers) }]
    : []),
];

/** The tablet turned round after the treatment: one question a page, then back with the PIN. */
export function FeedbackTablet({ view }: { readonly view: FeedbackTabletView }) {
  const questions = questionsOf(view);
  const [page, setPage] = useState(0);
  const [answers, setAnswers] = useState<Readonly<Partial<Record<FeedbackField, string>>>>({});
  const [trouble, setTrouble] = useState<string>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const question = questions[page];
  const answer = (field: FeedbackField, value: string) => {
    setAnswers({ ...answers, [field]: value });
    queue.current = queue.current.then(() =>
      keepTrying(
        () =>
          send('POST /api/tablet/{visit}/feedback', {
            params: { visit: view.visitId },
            body: { [field]: Number(value) },
          }),
        setTrouble,
      ),
    );
  };
  return (
    <main id="main" className={styles['tablet']}>
      <header>
        <p>{view.house}</p>
        <progress value={page} max={questions.length} aria-label="How far you are" />
      </header>
      {trouble && (
        <p role="alert" className={styles['trouble']}>
          {trouble}
        </p>
      )}
      {question ? (
        <section aria-label={question.ask}>
          {page === 0 && (
            <p className={styles['hello']}>{view.firstName}, how was it today? There is no wrong answer.</p>
          )}
          <h1>{question.ask}</h1>
          <Choice
            label={question.ask}
            isLabelHidden
            options={question.options}
            value={answers[question.field] ?? null}
            onChange={(value) => answer(question.field, value)}
          />
          <div className={styles['turn']}>
            {page > 0 && <Button onClick={() => setPage(page - 1)}>Back</Button>}
            <Button look="filled" onClick={() => setPage(page + 1)}>
              {answers[question.field] === undefined ? 'Skip' : 'Next'}
            </Button>
          </div>
        </section>
      ) : (
        <section aria-label="Thank you">
          <h1>Thank you</h1>
          <p className={styles['hello']}>Please give the tablet back now.</p>
          <PinForm
            label="PIN of the therapist"
            button="Take the tablet back"
            onOpen={() => void queue.current.then(() => window.location.assign(`/visits/${view.visitId}/close`))}
            onEnded={() => window.location.assign('/sign-in')}
          />
        </section>
      )}
    </main>
  );
}
