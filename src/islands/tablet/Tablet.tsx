import type { ConditionId } from '../../core/ids';
import { useRef, useState } from 'react';
import type { TabletView } from '../../contracts/ask-views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { RequestError, send } from '../api';
import { ConsentForm } from '../consent/ConsentForm';
import { PinForm } from '../door/PinForm';
import { keepTrying } from './keep-trying';
import styles from './Tablet.module.css';

type Answer = 'yes' | 'no' | 'unsure';

/** The tablet in the client's hands: one group of questions a page, then the consent, then back to the therapist. */
export function Tablet({ view }: { readonly view: TabletView }) {
  const [answers, setAnswers] = useState(view.intake);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [page, setPage] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const last = view.groups.length;
  const group = view.groups[page];

  const keep = (given: readonly { readonly condition: ConditionId; readonly answer: Answer }[]) => {
    setAnswers((old) => ({ ...old, ...Object.fromEntries(given.map((g) => [g.condition, g.answer])) }));
    queue.current = queue.current.then(() =>
      keepTrying(
        () => send('POST /api/tablet/{visit}', { params: { visit: view.visitId }, body: { answers: given } }),
        setTrouble,
      ),
    );
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
    <main id="main" className={styles['tablet']}>
      <header>
        <p>{view.house}</p>
        <progress value={page} max={last + 1} aria-label="How far you are" />
      </header>
      {trouble && (
        <p role="alert" className={styles['trouble']}>
          {trouble}
        </p>
      )}
      {group && (
        <section aria-label={group.group}>
          {page === 0 && (
            <p className={styles['hello']}>
              Hello {view.firstName}. These questions help us to work safely with you. Answer as well as you can; “not
              sure” is an answer too. Only the people who treat you here read them.
            </p>
          )}
          <h1>{group.ask}</h1>
          <p className={styles['such']}>For example: {group.suchAs}.</p>
          <Choice
            label={group.ask}
            isLabelHidden
            options={[
              { value: 'no', text: 'no, nothing of that' },
              { value: 'yes', text: 'yes, or not sure' },
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
                      { value: 'no', text: 'no' },
                      { value: 'yes', text: 'yes' },
                      { value: 'unsure', text: 'not sure' },
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
        <section aria-label="Consent">
          <h1>Please read this, and sign if you agree</h1>
          <ConsentForm
            wording={view.wording}
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
        <section aria-label="Thank you">
          <h1>Thank you</h1>
          <p className={styles['hello']}>Please give the tablet back now.</p>
          <PinForm
            label="PIN of the therapist"
            button="Take the tablet back"
            onOpen={() => window.location.assign(`/visits/${view.visitId}/ask`)}
            onEnded={() => window.location.assign('/sign-in')}
          />
        </section>
      )}
      {page <= last && (
        <nav aria-label="Pages">
          {page > 0 && <Button onClick={() => turn(page - 1)}>Back</Button>}
          <span />
          <Button look={group && !open && !isClosed ? 'quiet' : 'filled'} onClick={() => turn(page + 1)}>
            {page === last ? 'Not now, give the tablet back' : 'Next'}
          </Button>
        </nav>
      )}
    </main>
  );
}
