import { useEffect, useMemo, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { AskView as View } from '../../contracts/ask-views';
import { expandArea } from '../../core/anatomy/areas';
import { judgeVisitCheck } from '../../core/visit/visit-check';
import type { RegionMark } from '../../ui/body-map/BodyMap';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Kbd } from '../../ui/kbd/Kbd';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { ConsentForm } from '../consent/ConsentForm';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './AskView.module.css';
import { Check } from './Check';
import { Decisions } from './Decisions';
import { Intake } from './Intake';
import { gateId, type IntakeGroup, intakeGroups, nextRow, progressOf, visibleRows } from './rows';
import { type Answer, useAsk } from './useAsk';

const actionTitle = {
  'stop-urgent': 'Stop. Help is needed now.',
  'refer-same-day': 'Not today: a physician first, today.',
  postpone: 'Not today: another day.',
} as const;

const answerKeys: Readonly<Record<string, Answer>> = { y: 'yes', n: 'no', u: 'unsure' };

/** The consultation: the intake or the short check, the body with what was found, and what it allows. */
export function AskView({ view, today }: { readonly view: View; readonly today: string }) {
  const { visit } = view;
  const asking = useAsk(view);
  const { state } = asking;
  const { say, toasts } = useToasts();
  const [part, setPart] = useState<'intake' | 'check'>(view.intakeDue ? 'intake' : 'check');
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [current, setCurrent] = useState<string>();
  const [marking, setMarking] = useState<number>();
  const [openWork, setOpenWork] = useState<string>();
  const [isSigning, setIsSigning] = useState(false);
  const [isAllShown, setIsAllShown] = useState(true);

  const groups = useMemo(() => intakeGroups(view, state.intake, opened), [view, state.intake, opened]);
  const rows = useMemo(() => visibleRows(groups), [groups]);
  const outcome = judgeVisitCheck(view.check, state.check);
  const progress = progressOf(groups);
  const checkIds = [...view.check.flags, ...view.check.still, ...view.check.today, ...view.check.others].map(
    (q) => q.id,
  );
  const order = part === 'intake' ? rows.map((row) => row.id) : checkIds;
  const [firstId] = part === 'intake' ? [nextRow(rows, groups, '')] : outcome.unanswered;
  const at = current !== undefined && order.includes(current) ? current : (firstId ?? order[0]);

  const answerIntake = (id: string, answer: Answer) => {
    const group = groups.find((g) => g.gate.id === id);
    if (!group) {
      asking.answerIntake([{ condition: id, answer }]);
      const intake = { ...state.intake, [id]: answer };
      moveOn(intakeGroups(view, intake, opened), id);
      return;
    }
    if (answer === 'no') {
      const without = new Set([...opened].filter((name) => name !== group.group));
      setOpened(without);
      const positive = group.questions.filter((q) => state.intake[q.id] === 'yes' || state.intake[q.id] === 'unsure');
      if (positive.length > 0) {
        say('There is a yes in this group: answer those one by one.');
        return;
      }
      restNo(group, without);
    } else {
      const next = new Set([...opened, group.group]);
      setOpened(next);
      setCurrent(group.questions.find((q) => state.intake[q.id] === undefined)?.id ?? group.questions[0]?.id);
    }
  };
  const restNo = (group: IntakeGroup, nowOpened = opened) => {
    if (group.unanswered.length > 0)
      asking.answerIntake(group.unanswered.map((condition) => ({ condition, answer: 'no' as const })));
    const answered = Object.fromEntries(group.unanswered.map((id) => [id, 'no' as const]));
    moveOn(
      intakeGroups(view, { ...state.intake, ...answered }, nowOpened),
      group.questions.at(-1)?.id ?? gateId(group.group),
    );
  };
  const moveOn = (next: readonly IntakeGroup[], after: string) => {
    const nextRows = visibleRows(next);
    const from = nextRows.some((row) => row.id === after) ? after : gateOf(next, after);
    setCurrent(nextRow(nextRows, next, from) ?? after);
  };
  const answerCheck = (id: string, answer: Answer) => {
    if (answer === 'unsure') return;
    if (id.startsWith('still:') && answer === 'no') asking.answerIntake([{ condition: id.slice(6), answer: 'no' }]);
    if (id.startsWith('still:') && answer === 'yes' && state.check[id] === 'no')
      asking.answerIntake([{ condition: id.slice(6), answer: 'yes' }]);
    asking.answerCheck({ [id]: answer });
    if (answer === 'yes' && id.startsWith('today:')) return;
    const open = outcome.unanswered.filter((other) => other !== id);
    const index = checkIds.indexOf(id);
    setCurrent([...checkIds.slice(index + 1), ...checkIds.slice(0, index)].find((other) => open.includes(other)) ?? id);
  };
  const answer = part === 'intake' ? answerIntake : answerCheck;
  const hand = async () => {
    try {
      await send('POST', '/api/session/hand', { visitId: visit.id });
      window.location.assign(`/tablet/${visit.id}`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      if (/^(TEXTAREA|SELECT)$/.test(target.tagName) || (target as HTMLInputElement).type === 'text') return;
      if (document.querySelector('[role="dialog"]')) return;
      const key = event.key.toLowerCase();
      const given = answerKeys[key];
      if (given && at) {
        event.preventDefault();
        answer(at, given);
      } else if (key === 'r' && part === 'intake') {
        const group = groups.find((g) => g.gate.id === at || g.questions.some((q) => q.id === at));
        if (group?.state === 'open') restNo(group);
      } else if (key === 'm') {
        const finding = state.findings.find((f) => f.id === at);
        setMarking(marking === undefined ? finding?.key : undefined);
      } else if (key === 'h') void hand();
      else if ((key === 'arrowdown' || key === 'arrowup') && !/radio/.test(target.getAttribute('type') ?? '')) {
        if (target.closest('[data-body]')) return;
        event.preventDefault();
        const index = order.indexOf(at ?? '') + (key === 'arrowdown' ? 1 : -1);
        setCurrent(order[Math.max(0, Math.min(order.length - 1, index))]);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const marked = state.findings.find((finding) => finding.key === marking);
  const pick = (place: string) => {
    if (!marked) return;
    const known = marked.regions ?? [];
    const next = known.includes(place) ? known.filter((id) => id !== place) : [...known, place];
    const isLine = marked.locatable === 'line';
    const regions = isLine ? next.slice(-2) : next;
    const crosses = isLine && regions.length === 2 ? [[regions[0] ?? '', regions[1] ?? '']] : undefined;
    void asking.changeFinding(marked, { regions, crosses }).then((error) => error && say(error.message, 'error'));
  };

  const marks = marksOf(state.findings);
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []);
  const regions = new Map<string, RegionMark>(focus.map((id) => [id, { tone: 'drain', words: 'to be drained' }]));
  const work = state.screening.decisions.find((d) => d.modality === (openWork ?? 'lymph-drainage'));
  for (const place of [...(work?.places ?? [])].reverse()) {
    const isOff = place.decision !== 'modify' && place.decision !== 'ok';
    for (const id of place.regions)
      regions.set(id, isOff ? { tone: 'closed', words: 'kept off' } : { tone: 'prepare', words: 'with changes' });
  }
  for (const [id, mark] of marks.regions) if (!regions.has(id) || mark.tone === 'closed') regions.set(id, mark);
  for (const id of marked?.regions ?? []) regions.set(id, { tone: 'active', words: 'marked' });
  const [flag] = outcome.stoppedBy;
  const limb = visit.focus.some((id) => /^(leg|arm)\./.test(id));
  const isMinor = visit.client.age !== null && visit.client.age < 18;
  const shownGroups = isAllShown ? groups : groups.filter((g) => g.state === 'unasked' || g.unanswered.length > 0);

  return (
    <>
      <VisitHead visit={visit} here="ask" stage={state.stage} />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="Body map" data-body>
          <BodyPanel
            label={`Body of ${visit.client.name}`}
            initial={bestDrawing(focus)}
            sheets={['body', 'face', 'hand', 'foot']}
            regions={regions}
            nodes={marks.nodes}
            signs={marks.signs}
            onPick={marked ? pick : undefined}
            selected={marked?.regions?.at(-1)}
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{part === 'intake' ? 'Consultation' : 'Before we begin'}</h2>
            <span>
              {part === 'intake'
                ? `${progress.done} of ${progress.all}${view.intakeDue ? ` · ${view.intakeDue}` : ''}`
                : `${checkIds.length - outcome.unanswered.length} of ${checkIds.length} · about a minute`}
            </span>
          </div>
          <div className={styles['parts']}>
            <Choice
              label="Part of the consultation"
              isLabelHidden
              options={[
                { value: 'intake', text: 'full intake' },
                { value: 'check', text: 'check of today' },
              ]}
              value={part}
              onChange={(next) => {
                setPart(next);
                setCurrent(undefined);
              }}
            />
            {part === 'intake' && (
              <Button look="link" onClick={() => setIsAllShown(!isAllShown)}>
                {isAllShown ? 'Show only what is open' : 'Show all'}
              </Button>
            )}
          </div>
          {part === 'intake' ? (
            <>
              <Intake
                {...{ view, asking, marking }}
                groups={shownGroups}
                current={at}
                onCurrent={setCurrent}
                onAnswer={answerIntake}
                onRestNo={restNo}
                onMark={setMarking}
              />
              {progress.done === progress.all && (
                <p className={styles['done']}>
                  Every question of the intake has its answer.{' '}
                  <Button look="filled" onClick={() => setPart('check')}>
                    On to the check of today
                  </Button>
                </p>
              )}
            </>
          ) : (
            <Check
              {...{ view, asking, marking }}
              current={at}
              onCurrent={setCurrent}
              onAnswer={answerCheck}
              onIntake={(condition, given) => asking.answerIntake([{ condition, answer: given }])}
              onMark={setMarking}
            />
          )}
        </main>
        <aside className={styles['aside']} aria-label="What this allows">
          {flag ? (
            <div className={styles['stop']} role="alert">
              <h2>{actionTitle[flag.action]}</h2>
              <p>Say to the client:</p>
              <blockquote>{flag.say}</blockquote>
              <p>
                The visit is stopped and nothing is planned. If the answer was a slip, correct it; both stay in the
                record.
              </p>
            </div>
          ) : (
            outcome.kind === 'go' && (
              <ButtonLink look="filled" href={`/visits/${visit.id}/${limb ? 'measure' : 'plan'}`}>
                {limb ? 'Go on to measuring' : 'Go on to the plan'}
              </ButtonLink>
            )
          )}
          <div className={styles['heading']}>
            <h2>What this allows</h2>
            <span aria-live="polite">{asking.keeping.kind === 'saving' ? 'storing…' : 'updates as you answer'}</span>
          </div>
          {asking.keeping.kind === 'trouble' && (
            <p role="alert" className={styles['trouble']}>
              {asking.keeping.text}
            </p>
          )}
          <p className={styles['soft']}>
            {visit.therapist.name} holds: {view.qualifications.join(', ') || 'nothing on record'}.
          </p>
          {state.contradictions.map((pair) => (
            <p key={pair} className={styles['trouble']} role="status">
              These cannot both be so: {pair}. Both count until one is taken back.
            </p>
          ))}
          <Decisions state={state} asking={asking} open={openWork} onOpen={setOpenWork} />
          <h3>Consent</h3>
          <p className={styles['soft']}>
            {state.consent
              ? `Signed by ${state.consent.name}, ${state.consent.signedAt.slice(0, 10)}.${state.consent.isDue ? ' Due again: a year has passed, or the wording has changed.' : ''}`
              : 'Not signed yet.'}
          </p>
          <p className={styles['links']}>
            <Button onClick={() => setIsSigning(true)}>{state.consent ? 'Sign again' : 'Read and sign'}</Button>
            <a href={`/api/visits/${visit.id}/referral.pdf`} download>
              Referral note (PDF)
            </a>
          </p>
        </aside>
      </div>
      <footer className={styles['foot']}>
        <span>
          <Kbd>Y</Kbd> <Kbd>N</Kbd> {part === 'intake' && <Kbd>U</Kbd>} answer
        </span>
        <span>
          <Kbd>↓</Kbd> next
        </span>
        {part === 'intake' && (
          <span>
            <Kbd>R</Kbd> rest: no
          </span>
        )}
        <span>
          <Kbd>M</Kbd> mark on the body
        </span>
        <Button look="link" onClick={() => void hand()}>
          <Kbd>H</Kbd> hand the tablet over
        </Button>
        <em>Local law and your licence come first.</em>
      </footer>
      <Dialog title="Consent" isOpen={isSigning} onClose={() => setIsSigning(false)}>
        <ConsentForm
          wording={view.wording}
          clientName={visit.client.name}
          isMinor={isMinor}
          onSign={(body) => asking.post('consent', body)}
          onDone={() => {
            setIsSigning(false);
            say(`Consent kept, ${today}.`);
          }}
        />
      </Dialog>
      {toasts}
    </>
  );
}

/** The gate of the group that a question belongs to. */
function gateOf(groups: readonly IntakeGroup[], id: string): string {
  return groups.find((group) => group.questions.some((question) => question.id === id))?.gate.id ?? id;
}
