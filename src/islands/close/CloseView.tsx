import { useCallback, useEffect, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { ClosingInput } from '../../contracts/record';
import type { ClosingView, VisitView } from '../../contracts/views';
import { expandArea } from '../../core/anatomy/areas';
import { compareTapings } from '../../core/swelling/compare-tapings';
import { stepTitle } from '../../core/drainage/step-words';
import { clocksAt, replay } from '../../core/table/progress';
import { formatClock, formatNumber, formatSigned } from '../../core/units';
import type { RegionMark } from '../../ui/body-map/BodyMap';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { TextArea } from '../../ui/field/Field';
import { useToasts } from '../../ui/toast/useToasts';
import { RequestError, send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './CloseView.module.css';

type Answers = Omit<ClosingInput, 'basedOn'>;

const noteDelayMs = 600;
const redness = ['none', 'just visible', 'clear', 'strong', 'very strong'] as const;

/** The two minutes at the end: look again, measure again, ask how it was. Stored as it is answered. */
export function CloseView({ visit }: { readonly visit: VisitView }) {
  const first = visit.closing;
  const [answers, setAnswers] = useState<Answers>({
    pressure: first?.pressure ?? null,
    comfort: first?.comfort ?? null,
    redness: first?.redness ?? null,
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
            label="Pressure"
            options={[
              { value: '-1', text: 'lighter next time' },
              { value: '0', text: 'just right' },
              { value: '1', text: 'could be deeper' },
            ]}
            value={answers.pressure === null ? null : (String(answers.pressure) as '-1' | '0' | '1')}
            onChange={(value) => answer({ pressure: Number(value) as -1 | 0 | 1 })}
          />
          <Choice
            label="Comfort, 0 to 10"
            options={Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }))}
            value={answers.comfort === null ? null : String(answers.comfort)}
            onChange={(value) => answer({ comfort: Number(value) })}
          />
          <Choice
            label="Redness of the skin"
            options={redness.map((text, i) => ({
              value: String(i),
              text,
              ...(i >= 3 ? { tone: 'brick' as const } : {}),
            }))}
            value={answers.redness === null ? null : String(answers.redness)}
            onChange={(value) => answer({ redness: Number(value) })}
          />
          {(answers.redness ?? 0) >= 3 && (
            <p className={styles['caution']} role="alert">
              Strong redness after light work is a reaction: cool, look again in ten minutes, and ask a physician if it
              spreads, stays hot or hurts.
            </p>
          )}
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
          <ButtonLink href={`/visits/${visit.id}/measure-after`}>
            {visit.after ? 'See the after-measure' : 'Measure again'}
          </ButtonLink>
          <h2>Done</h2>
          <Done visit={visit} />
        </aside>
      </div>
      {toasts}
    </>
  );
}

function Measured({ visit }: { readonly visit: VisitView }) {
  const [before, after] = [visit.before?.volume, visit.after?.volume];
  if (!before)
    return (
      <p className={styles['soft']}>
        Nothing was taped before the work, so an after-measure has nothing to stand beside.
      </p>
    );
  if (!after)
    return (
      <p className={styles['soft']}>
        Before:{' '}
        {before.excessMl === null
          ? `${formatNumber(before.affectedMl)} mL`
          : `${formatNumber(before.excessMl)} mL over the other side`}
        . Tape the same points with the marks left on.
      </p>
    );
  const change = visit.before && visit.after && compareTapings(visit.before, visit.after, 0);
  if (!change) return <p className={styles['soft']}>The two tapings share too few marks to be compared.</p>;
  const limit = formatNumber(change.limitMl);
  return (
    <div className={styles['measured']}>
      <strong>{formatSigned(change.ml)} mL</strong>
      <p>
        {formatNumber(change.fromMl)} before, {formatNumber(change.toMl)} after, over the marks taped both times.{' '}
        {change.beyond
          ? `Beyond measuring error (${limit} mL).`
          : `Within measuring error (${limit} mL): may be no change.`}
      </p>
    </div>
  );
}

function Done({ visit }: { readonly visit: VisitView }) {
  const state = replay(visit.events);
  const steps = visit.plan?.steps ?? [];
  if (visit.events.length === 0) return <p className={styles['soft']}>Nothing was done at the table yet.</p>;
  const skipped = steps.filter((step) => state.outcomes.get(step.id)?.state === 'skipped');
  const done = steps.filter((step) => state.outcomes.get(step.id)?.state === 'done').length;
  const lastAt = Date.parse(visit.events.at(-1)?.at ?? visit.startsAt);
  return (
    <>
      <p>
        {done} of {steps.length} steps in {formatClock(clocksAt(state, lastAt).visitMs / 1000)} min.
      </p>
      {skipped.length > 0 && (
        <p className={styles['soft']}>Skipped: {skipped.map((step) => stepTitle(anatomy, step)).join(', ')}.</p>
      )}
      {state.status !== 'finished' && (
        <p>
          <a href={`/visits/${visit.id}/table`}>The treatment is not at its end: back to the table</a>
        </p>
      )}
    </>
  );
}
