import type { ConditionId } from '../../core/ids';
import { useState } from 'react';
import type { TabletView } from '../../contracts/ask-views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import type { ClientWords } from '../../catalogue/client-words/words';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import { RequestError, send } from '../api';
import { ConsentForm } from '../consent/ConsentForm';
import { PinForm } from '../door/PinForm';
import { sending } from '../saving/sending';
import { useAnswers } from './use-answers';
import styles from './Tablet.module.css';

type Answer = 'yes' | 'no' | 'unsure';

interface Props {
  readonly view: TabletView;
  readonly words?: ClientWords;
}

/** The tablet in the client's hands: one group of questions a page, then the consent, then back to the therapist. */
export function Tablet({ view, words: table = clientWordsOf(view.language) }: Props) {
  const { tablet: words, consent } = table;
  const [answers, setAnswers] = useState(view.intake);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [page, setPage] = useState(0);
  const { queue, trouble } = useAnswers(view.visitId, words);
  const last = view.groups.length;
  const group = view.groups[page];

  const keep = (input: readonly { readonly condition: ConditionId; readonly answer: Answer }[]) => {
    setAnswers((old) => ({ ...old, ...Object.fromEntries(input.map((g) => [g.condition, g.answer])) }));
    queue.addOneMore('intake', sending('POST /api/tablet/{visit}', { visit: view.visitId }, { answers: input }));
  };
  const open = group
    ? opened.has(group.group) || group.questions.some((q) => answers[q.id] === 'yes' || answers[q.id] === 'unsure')
    : false;
  const isClosed = group ? !open && group.questions.every((q) => answers[q.id] === 'no') : false;
  const turn = (to: number) => {
    setPage(to);
    window.scrollTo(0, 0);
  };

  return (
    <main id="main" lang={view.language} className={styles['tablet']}>
      <header>
        <p>{view.house}</p>
        <progress value={page} max={last + 1} aria-label={words.howFar} />
      </header>
      {trouble && (
        <p role="alert" className={styles['trouble']}>
          {trouble}
        </p>
      )}
      {group && (
        <section aria-label={group.ask}>
          {page === 0 && <p className={styles['hello']}>{words.hello(view.firstName)}</p>}
          <h1>{group.ask}</h1>
          <p className={styles['such']}>{words.example(group.suchAs)}</p>
          <Choice
            label={group.ask}
            isLabelHidden
            options={[
              { value: 'no', text: words.noneOfThat },
              { value: 'yes', text: words.someOfThat },
            ]}
            value={open ? 'yes' : isClosed ? 'no' : null}
            onChange={(value) => {
              if (value === 'yes') setOpened(new Set([...opened, group.group]));
              else {
                setOpened(new Set([...opened].filter((name) => name !== group.group)));
                keep(group.questions.map((q) => ({ condition: q.id, answer: 'no' as const })));
                if (page < last) turn(page + 1);
              }
            }}
          />
          {open && (
            <ol className={styles['questions']}>
              {group.questions.map((question) => (
                <li key={question.id}>
                  <p>{question.ask}</p>
                  <Choice
                    label={question.ask}
                    isLabelHidden
                    options={[
                      { value: 'no', text: words.no },
                      { value: 'yes', text: words.yes },
                      { value: 'unsure', text: words.unsure },
                    ]}
                    value={answers[question.id] ?? null}
                    onChange={(answer) => keep([{ condition: question.id, answer }])}
                  />
                </li>
              ))}
            </ol>
          )}
        </section>
      )}
      {page === last && (
        <section aria-label={consent.title}>
          <h1>{consent.title}</h1>
          <ConsentForm
            wording={view.wording}
            words={consent}
            clientName={view.name}
            isMinor={view.isMinor}
            onSign={(body) =>
              send('POST /api/tablet/{visit}/consent', { params: { visit: view.visitId }, body }).then(
                () => undefined,
                (error: unknown) => {
                  if (error instanceof RequestError) return error;
                  throw error;
                },
              )
            }
            onDone={() => turn(last + 1)}
          />
        </section>
      )}
      {page === last + 1 && (
        <section aria-label={words.thanks}>
          <h1>{words.thanks}</h1>
          <p className={styles['hello']}>{words.giveBack}</p>
          <PinForm
            label={words.pin}
            button={words.takeBack}
            onOpen={() => void queue.settle().then(() => window.location.replace(`/visits/${view.visitId}/ask`))}
            onEnded={() => window.location.replace('/sign-in')}
          />
        </section>
      )}
      {page <= last && (
        <nav aria-label={words.pages}>
          {page > 0 && <Button onClick={() => turn(page - 1)}>{words.back}</Button>}
          <span />
          <Button look={group && !open && !isClosed ? 'quiet' : 'filled'} onClick={() => turn(page + 1)}>
            {page === last ? words.notNow : words.next}
          </Button>
        </nav>
      )}
    </main>
  );
}
