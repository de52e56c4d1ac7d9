import { useState } from 'react';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import type { ClientWords, TabletWords } from '../../catalogue/client-words/words';
import type { FeedbackTabletView } from '../../contracts/ask-views';
import type { FeedbackField } from '../../contracts/closing';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { PinForm } from '../door/PinForm';
import { sending } from '../saving/sending';
import { useAnswers } from './use-answers';
import styles from './Tablet.module.css';

interface Question {
  readonly field: FeedbackField;
  readonly ask: string;
  readonly options: readonly { readonly value: string; readonly text: string }[];
}

const tenths = Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }));
/** Answers round a middle that is 0. */
const rounded = (texts: readonly string[]) =>
  texts.map((text, i) => ({ value: String(i - Math.floor(texts.length / 2)), text }));

/** Only how it was: no names of illnesses, nothing of the record. */
const questionsOf = ({ isScented }: FeedbackTabletView, words: TabletWords): readonly Question[] => [
  {
    field: 'pressure',
    ask: words.feedback.pressure,
    options: rounded(words.pressure),
  },
  { field: 'comfort', ask: words.feedback.comfort, options: tenths },
  { field: 'relaxationBefore', ask: words.feedback.relaxationBefore, options: tenths },
  { field: 'relaxationAfter', ask: words.feedback.relaxationAfter, options: tenths },
  { field: 'warmth', ask: words.feedback.warmth, options: rounded(words.warmth) },
  ...(isScented ? [{ field: 'scent' as const, ask: words.feedback.scent, options: rounded(words.scent) }] : []),
];

interface Props {
  readonly view: FeedbackTabletView;
  readonly words?: ClientWords;
}

/** The tablet turned round after the treatment: one question a page, then back with the PIN. */
export function FeedbackTablet({ view, words: table = clientWordsOf(view.language) }: Props) {
  const { tablet: words } = table;
  const questions = questionsOf(view, words);
  const [page, setPage] = useState(0);
  const [answers, setAnswers] = useState<Readonly<Partial<Record<FeedbackField, string>>>>({});
  const { queue, trouble } = useAnswers(view.visitId, words);
  const question = questions[page];
  const answer = (field: FeedbackField, value: string) => {
    setAnswers({ ...answers, [field]: value });
    const body = { [field]: Number(value) };
    queue.add(field, sending('POST /api/tablet/{visit}/feedback', { visit: view.visitId }, body));
  };
  return (
    <main id="main" lang={view.language} className={styles['tablet']}>
      <header>
        <p>{view.house}</p>
        <progress value={page} max={questions.length} aria-label={words.howFar} />
      </header>
      {trouble && (
        <p role="alert" className={styles['trouble']}>
          {trouble}
        </p>
      )}
      {question ? (
        <section aria-label={question.ask}>
          {page === 0 && <p className={styles['hello']}>{words.howWasIt(view.firstName)}</p>}
          <h1>{question.ask}</h1>
          <Choice
            label={question.ask}
            isLabelHidden
            options={question.options}
            value={answers[question.field] ?? null}
            onChange={(value) => answer(question.field, value)}
          />
          <div className={styles['turn']}>
            {page > 0 && <Button onClick={() => setPage(page - 1)}>{words.back}</Button>}
            <Button look="filled" onClick={() => setPage(page + 1)}>
              {answers[question.field] === undefined ? words.skip : words.next}
            </Button>
          </div>
        </section>
      ) : (
        <section aria-label={words.thanks}>
          <h1>{words.thanks}</h1>
          <p className={styles['hello']}>{words.giveBack}</p>
          <PinForm
            label={words.pin}
            button={words.takeBack}
            onOpen={() => void queue.settle().then(() => window.location.replace(`/visits/${view.visitId}/close`))}
            onEnded={() => window.location.replace('/sign-in')}
          />
        </section>
      )}
    </main>
  );
}
