import { useCallback, useEffect, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { StageOrEnd, VisitView } from '../../contracts/views';
import { expandArea } from '../../core/anatomy/areas';
import { type CheckAnswers, judgeVisitCheck, type VisitQuestionId, visitQuestions } from '../../core/visit/visit-check';
import { capitalise } from '../../core/drainage/wording';
import { dayInWords, findingInWords } from '../../core/visit/words';
import type { RegionMark } from '../../ui/body-map/BodyMap';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Kbd } from '../../ui/kbd/Kbd';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './AskView.module.css';

const actionTitle = {
  'stop-urgent': 'Stop. Help is needed now.',
  'refer-same-day': 'Not today: a physician first, today.',
  postpone: 'Not today: another day.',
} as const;

/** The short check before a visit: seven questions, answered by key or touch, stored as they are answered. */
export function AskView({ visit }: { readonly visit: VisitView }) {
  const [answers, setAnswers] = useState<CheckAnswers>(visit.answers);
  const [stage, setStage] = useState<StageOrEnd>(visit.stage);
  const [current, setCurrent] = useState<VisitQuestionId>(
    visitQuestions.find((q) => !visit.answers[q.id])?.id ?? (visitQuestions[0]?.id as VisitQuestionId),
  );
  const { say, toasts } = useToasts();
  const outcome = judgeVisitCheck(answers);
  const saving = useRef(Promise.resolve());

  const answer = useCallback(
    (id: VisitQuestionId, value: 'yes' | 'no') => {
      const next = { ...answers, [id]: value };
      setAnswers(next);
      const index = visitQuestions.findIndex((q) => q.id === id);
      const following = [...visitQuestions.slice(index + 1), ...visitQuestions.slice(0, index)].find(
        (q) => !next[q.id],
      );
      setCurrent(following?.id ?? id);
      saving.current = saving.current
        .then(() => send<{ stage: StageOrEnd }>('POST', `/api/visits/${visit.id}/check`, { answers: next }))
        .then((saved) => setStage(saved.stage))
        .catch((error: unknown) => say(sentenceOf(error), 'error'));
    },
    [answers, say, visit.id],
  );

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.altKey || event.ctrlKey || event.metaKey || /^(TEXTAREA|SELECT)$/.test(target.tagName)) return;
      const key = event.key.toLowerCase();
      if (key === 'y' || key === 'n') {
        event.preventDefault();
        answer(current, key === 'y' ? 'yes' : 'no');
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [answer, current]);

  const marks = marksOf(visit.findings);
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []);
  const regions = new Map<string, RegionMark>(focus.map((id) => [id, { tone: 'drain', words: 'to be drained' }]));
  for (const [id, mark] of marks.regions) regions.set(id, mark);
  const limb = visit.focus.some((id) => /^(leg|arm)\./.test(id));
  const [flag] = outcome.stoppedBy;

  return (
    <>
      <VisitHead visit={visit} here="ask" stage={stage} />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="Body map">
          <BodyPanel
            label={`Body of ${visit.client.name}`}
            initial={bestDrawing(focus)}
            sheets={['body', 'face']}
            regions={regions}
            nodes={marks.nodes}
            signs={marks.signs}
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>Before we begin</h2>
            <span>
              {visitQuestions.length - outcome.unanswered.length} of {visitQuestions.length} · about a minute
            </span>
          </div>
          <ol className={styles['questions']}>
            {visitQuestions.map((question) => (
              <li
                key={question.id}
                data-current={question.id === current ? true : undefined}
                onFocus={() => setCurrent(question.id)}
              >
                <div>
                  <p>{question.text}</p>
                  <small>{question.hint}</small>
                </div>
                <Choice
                  label={question.text}
                  isLabelHidden
                  options={[
                    { value: 'no', text: 'no' },
                    { value: 'yes', text: 'yes', ...(question.action ? { tone: 'brick' as const } : {}) },
                  ]}
                  value={answers[question.id] ?? null}
                  onChange={(value) => answer(question.id, value)}
                />
              </li>
            ))}
          </ol>
        </main>
        <aside className={styles['aside']} aria-label="What follows">
          {flag ? (
            <div className={styles['stop']} role="alert">
              <h2>{actionTitle[flag.action ?? 'postpone']}</h2>
              <p>Say to the client:</p>
              <blockquote>{flag.say}</blockquote>
              <p>
                The visit is stopped and nothing is planned. If the answer was a slip, correct it; both stay in the
                record.
              </p>
            </div>
          ) : (
            <>
              <h2>{outcome.kind === 'go' ? 'Nothing speaks against it' : 'What is known'}</h2>
              <p className={styles['soft']}>
                {outcome.kind === 'go'
                  ? 'Every question has its answer.'
                  : `${outcome.unanswered.length} ${outcome.unanswered.length === 1 ? 'question is' : 'questions are'} open; drainage is planned when all are answered.`}
              </p>
              {outcome.kind === 'go' && (
                <ButtonLink look="filled" href={`/visits/${visit.id}/${limb ? 'measure' : 'plan'}`}>
                  {limb ? 'Go on to measuring' : 'Go on to the plan'}
                </ButtonLink>
              )}
            </>
          )}
          <h3>On the body</h3>
          {visit.findings.length === 0 ? (
            <p className={styles['soft']}>Nothing is placed; all node groups count as open.</p>
          ) : (
            <ul className={styles['findings']}>
              {visit.findings.map((finding) => (
                <li key={finding.key}>
                  {capitalise(findingInWords(anatomy, finding))}
                  {finding.sinceOn && <small> since {dayInWords(finding.sinceOn)}</small>}
                </li>
              ))}
            </ul>
          )}
          <p>
            <a href={`/clients/${visit.client.id}`}>Add or change findings</a>
          </p>
        </aside>
      </div>
      <footer className={styles['foot']}>
        <span>
          <Kbd>Y</Kbd> <Kbd>N</Kbd> answer
        </span>
        <span>
          <Kbd>Tab</Kbd> next question
        </span>
        <em>Supports your judgement; local law and your licence come first.</em>
      </footer>
      {toasts}
    </>
  );
}
