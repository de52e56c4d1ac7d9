import { useCallback, useEffect, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import { scentAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import type { ClosingView, NextVisitView, VisitView } from '../../contracts/visit-views';
import { expandArea } from '../../core/anatomy/areas';
import { needsAnswerNow } from '../../core/skin/feedback';
import { replay } from '../../core/table/progress';
import type { RegionMark } from '../../ui/body-map/BodyMap';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { TextArea } from '../../ui/field/Field';
import { useToasts } from '../../ui/toast/useToasts';
import { RequestError, send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { Marked } from './Marked';
import { NextVisit } from './NextVisit';
import { VisitHead } from '../visit-head/VisitHead';
import { type Answers, tenths, textOf } from './answers';
import styles from './CloseView.module.css';
import { Done } from './Done';
import { Measured } from './Measured';
import { SkinAfter } from './SkinAfter';

const noteDelayMs = 600;

/** The two minutes at the end: look again, measure again, ask how it was. Stored as it is answered. */
export function CloseView({ visit, next }: { readonly visit: VisitView; readonly next: NextVisitView | null }) {
  const first = visit.closing;
  const isScented = Object.values(visit.blends).some(({ blend }) => blend.parts.length > 0);
  const [answers, setAnswers] = useState<Answers>({
    pressure: first?.pressure ?? null,
    comfort: first?.comfort ?? null,
    redness: first?.redness ?? null,
    rednessBefore: first?.rednessBefore ?? null,
    fadeMinutes: first?.fadeMinutes ?? null,
    warmth: first?.warmth ?? null,
    scent: first?.scent ?? null,
    relaxationBefore: first?.relaxationBefore ?? null,
    relaxationAfter: first?.relaxationAfter ?? null,
    note: first?.note ?? '',
  });
  const [status, setStatus] = useState('');
  const [noteError, setNoteError] = useState<string>();
  const version = useRef(first?.version ?? 0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const pending = useRef(0);
  const latest = useRef(answers);
  const delayed = useRef<ReturnType<typeof setTimeout>>(undefined);
  const { say, toasts } = useToasts();

  const store = useCallback(
    (next: Answers) => {
      setStatus('storing …');
      pending.current += 1;
      queue.current = queue.current.then(async () => {
        try {
          await send<{ closing: ClosingView }>('POST', `/api/visits/${visit.id}/closing`, {
            ...next,
            basedOn: version.current,
          });
          version.current += 1;
          pending.current -= 1;
          if (pending.current === 0) setStatus('stored');
          setNoteError(undefined);
        } catch (error) {
          pending.current -= 1;
          setStatus('not stored yet');
          const atNote = error instanceof RequestError ? error.fieldError('note') : undefined;
          setNoteError(atNote);
          if (!atNote) say(sentenceOf(error), 'error');
        }
      });
    },
    [say, visit.id],
  );
  useEffect(() => () => clearTimeout(delayed.current), []);

  const answer = (change: Partial<Answers>) => {
    const next = { ...latest.current, ...change };
    latest.current = next;
    setAnswers(next);
    clearTimeout(delayed.current);
    if ('note' in change) delayed.current = setTimeout(() => store(next), noteDelayMs);
    else store(next);
  };

  const finish = async () => {
    clearTimeout(delayed.current);
    store(latest.current);
    await queue.current;
    try {
      await send('POST', `/api/visits/${visit.id}/finish`);
      window.location.assign(`/clients/${visit.client.id}`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };

  const marks = marksOf(visit.findings);
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []);
  const state = replay(visit.events);
  const worked = new Set(
    (visit.plan?.steps ?? []).filter((step) => state.outcomes.get(step.id)?.state === 'done').map((step) => step.place),
  );
  const regions = new Map<string, RegionMark>(
    focus.map((id) => [
      id,
      worked.has(id) ? { tone: 'open', words: 'drained' } : { tone: 'drain', words: 'not drained this time' },
    ]),
  );
  for (const [id, mark] of marks.regions) regions.set(id, mark);
  const isClosed = visit.stage === 'done';

  return (
    <>
      <VisitHead visit={visit} here="close" />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="What was worked">
          <BodyPanel
            label={`Worked on ${visit.client.name}`}
            initial={bestDrawing(focus)}
            sheets={['body', 'face']}
            regions={regions}
            nodes={marks.nodes}
            signs={marks.signs}
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{isClosed ? 'How it was' : 'How was it?'}</h2>
            <span role="status">{status}</span>
          </div>
          <Choice
            isRow
            label="Pressure"
            options={[
              { value: '-1', text: 'lighter next time' },
              { value: '0', text: 'just right' },
              { value: '1', text: 'could be deeper' },
            ]}
            value={textOf(answers.pressure)}
            onChange={(value) => answer({ pressure: Number(value) as -1 | 0 | 1 })}
          />
          {needsAnswerNow(answers) && (
            <p className={styles['now']} role="alert">
              {needsAnswerNow(answers) === 'lighter' ? 'Lighter, please: now.' : 'Too hot: cool it now.'}
            </p>
          )}
          <Choice
            isRow
            label="Comfort, 0 to 10"
            options={tenths}
            value={textOf(answers.comfort)}
            onChange={(value) => answer({ comfort: Number(value) })}
          />
          <Choice
            isRow
            label="Relaxed before, 0 to 10"
            options={tenths}
            value={textOf(answers.relaxationBefore)}
            onChange={(value) => answer({ relaxationBefore: Number(value) })}
          />
          <Choice
            isRow
            label="Relaxed now, 0 to 10"
            options={tenths}
            value={textOf(answers.relaxationAfter)}
            onChange={(value) => answer({ relaxationAfter: Number(value) })}
          />
          <Choice
            isRow
            label="Warmth"
            options={warmthAnswers.map(({ value, text }) => ({ value: String(value), text }))}
            value={textOf(answers.warmth)}
            onChange={(value) => answer({ warmth: Number(value) })}
          />
          {isScented && (
            <Choice
              isRow
              label="Scent"
              options={scentAnswers.map(({ value, text }) => ({ value: String(value), text }))}
              value={textOf(answers.scent)}
              onChange={(value) => answer({ scent: Number(value) })}
            />
          )}
          <SkinAfter answers={answers} onAnswer={answer} />
          <TextArea
            label="Note"
            value={answers.note}
            onChange={(event) => answer({ note: event.target.value })}
            error={noteError}
            hint="For the record; the client may ask to see it."
          />
          <div className={styles['buttons']}>
            {isClosed ? (
              <ButtonLink href={`/clients/${visit.client.id}`}>Back to {visit.client.name}</ButtonLink>
            ) : (
              <Button look="filled" onClick={() => void finish()}>
                Close the visit
              </Button>
            )}
          </div>
        </main>
        <aside className={styles['aside']} aria-label="What was done and measured">
          <h2>Measured again</h2>
          <Measured visit={visit} />
          <h2>Done</h2>
          <Done visit={visit} />
          {next && <NextVisit visit={visit} next={next} />}
          <Marked
            visit={visit}
            note={answers.note}
            onTake={(sentences) => answer({ note: [answers.note.trim(), ...sentences].filter(Boolean).join(' ') })}
          />
        </aside>
      </div>
      {toasts}
    </>
  );
}
