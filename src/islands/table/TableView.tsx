import { useCallback, useEffect, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TableStones } from '../../contracts/stone-views';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import type { Step } from '../../core/drainage/step';
import { phasesOf, pressureInWords } from '../../core/drainage/step-words';
import { isTimeToAsk, type MarkKind, markKinds, markWords } from '../../core/table/marks';
import { beatAt, noChange } from '../../core/table/progress';
import { howOf, spanOf, type TableStep, titleOf } from '../../core/table/table-step';
import { cueAt } from '../../core/stones/cues';
import { formatClock } from '../../core/units';
import { Kbd } from '../../ui/kbd/Kbd';
import { type Shortcut, Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { BathWarning } from './BathWarning';
import { CatchUpBar, catchUpKeys } from './CatchUpBar';
import { Finished } from './Finished';
import { MarkBar } from './MarkBar';
import { keepingWords } from './keeping';
import { Beads, Drift, paceWords, Ring } from './pace';
import { StepMap } from './StepMap';
import styles from './TableView.module.css';
import { useBeatSound } from './useBeatSound';
import { useTable } from './useTable';
import { useWakeLock } from './useWakeLock';

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanView;
  readonly stones?: TableStones;
}

/** Words that would fill the screen are set smaller, so that the cue still shows. */
const longTitle = 18;
const longWay = 70;

/** Presses of one key closer than this are one (ms). */
const bounceMs = 150;
/** How long it is said that a technique was stopped (ms). */
const stoppedMs = 30_000;
/** A breath between the last repetition and the next step, when the clock leads (ms). */
const byClockMs = 1500;

const noStones: TableStones = { cues: [], hotBathC: null };

const keys: readonly Shortcut[] = [
  [['Space', 'Enter', 'PgDn'], 'done, on to the next step (foot switch)'],
  [['PgUp'], 'back one step'],
  [['P'], 'pause, and go on'],
  [['S'], 'skip this step'],
  [['B'], 'sound of the beat on or off'],
  [['E'], 'time runs short: shorten evenly'],
  [['L'], 'time runs short: leave out what is named'],
  [['O'], 'time runs short: run over'],
  [['F'], 'time is left: use it for what soothes'],
  [['U'], 'as planned again'],
  [['1', '…', '7'], 'mark what is felt or said here'],
  [['X'], 'pain: this technique goes out of the rest'],
  [['A'], 'pressure was asked about'],
  [['+'], 'stay here half as long again'],
  [['C'], 'go on by the clock, or only by hand'],
];

/** The treatment as it runs: one step, readable at arm's length and more, by foot switch, space bar or a touch. */
export function TableView({ visit, plan, stones = noStones }: Props) {
  const availableSeconds = plan.treatment?.availableSeconds ?? plan.drainageCase.minutes * 60;
  const table = useTable(visit, plan.steps, plan.version, availableSeconds);
  const { state, steps, index, goOn, goBack, pause, ways, refit } = table;
  const [isSoundOn, setIsSoundOn] = useState(false);
  const [isByClock, setIsByClock] = useState(false);
  const [stopped, setStopped] = useState<readonly TableStep[]>([]);
  const { marks, stay } = table;
  const makeMark = useCallback(
    (kind: MarkKind) => {
      const out = table.mark(kind);
      if (kind === 'pain' && out.length > 0) setStopped(out);
    },
    // The rest of the table changes ten times a second.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [table.mark],
  );
  useEffect(() => {
    if (stopped.length === 0) return;
    const timer = setTimeout(() => setStopped([]), stoppedMs);
    return () => clearTimeout(timer);
  }, [stopped]);
  const lastPress = useRef({ key: '', at: -Infinity });
  const step = steps[Math.max(0, index)];
  const beat = step ? beatAt(step, table.stepMs) : undefined;
  const isOver = beat?.isOver ?? false;
  useEffect(() => {
    if (!isByClock || !isOver || state.status !== 'running') return;
    const timer = setTimeout(() => goOn('end'), byClockMs);
    return () => clearTimeout(timer);
  }, [goOn, isByClock, isOver, state.status, state.stepId]);
  useWakeLock(state.status === 'running' || state.status === 'paused');
  useBeatSound(
    isSoundOn && state.status === 'running' && beat !== undefined && beat.repetition > 0 && !beat.isOver,
    `${index} ${beat?.placement} ${beat?.repetition}`,
  );

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (document.querySelector('[role="dialog"]')) return;
      const isOnControl = /^(BUTTON|A)$/.test(target.tagName) && target.matches(':focus-visible');
      const acts: Readonly<Record<string, () => void>> = {
        ' ': () => goOn('end'),
        Enter: () => goOn('end'),
        PageDown: () => goOn('end'),
        PageUp: goBack,
        p: pause,
        P: pause,
        s: () => goOn('skip'),
        S: () => goOn('skip'),
        '+': stay,
        '=': stay,
        c: () => setIsByClock((on) => !on),
        C: () => setIsByClock((on) => !on),
        b: () => setIsSoundOn((on) => !on),
        B: () => setIsSoundOn((on) => !on),
      };
      const letter = event.key.toUpperCase();
      const way = ways.find(({ kind }) => catchUpKeys[kind] === letter);
      const marked = markKinds.find((kind) => markWords[kind].key === letter);
      const act = way
        ? () => refit(way.change)
        : marked
          ? () => makeMark(marked)
          : letter === 'U'
            ? () => refit(noChange)
            : acts[event.key];
      if (!act || (isOnControl && (event.key === ' ' || event.key === 'Enter'))) return;
      event.preventDefault();
      // A foot that trembles presses twice.
      const isBounce = lastPress.current.key === event.key && event.timeStamp - lastPress.current.at < bounceMs;
      if (isBounce) return;
      lastPress.current = { key: event.key, at: event.timeStamp };
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [goOn, goBack, pause, refit, ways, makeMark, stay]);

  if (!step || !beat) return null;
  if (state.status === 'finished')
    return (
      <Finished
        visit={visit}
        visitMs={table.visitMs}
        done={[...state.outcomes.values()].filter((o) => o.state === 'done').length}
        total={steps.length}
        keeping={table.keeping}
      />
    );

  const next = steps[Math.max(0, index) + 1];
  const total = steps.reduce((sum, s) => sum + spanOf(s), 0);
  const isReady = state.status === 'ready';
  const oil = plan.treatment?.blocks.find(({ steps: own }) => own.includes(step.id))?.oil;
  const oilName = oil && visit.blends[oil]?.blend.name;
  const cue = cueAt(stones.cues, isReady ? 0 : planSeconds(plan.steps, step, table.stepMs / 1000));
  return (
    <div className={styles['view']}>
      <header className={styles['head']}>
        <strong>{visit.client.name.split(' ')[0]}</strong>
        <span>{handsOf(plan, step)}</span>
        <span>{step.told ? step.told.block : phasesOf(steps)[Math.max(0, index)]?.toLowerCase()}</span>
        <Drift
          steps={steps}
          index={index}
          visitMs={table.visitMs}
          stepMs={table.stepMs}
          overSeconds={table.overSeconds}
        />
        <span className={styles['clock']}>
          visit <strong>{formatClock(table.visitMs / 1000)}</strong> of {formatClock(total)}
        </span>
      </header>
      <div className={styles['middle']}>
        <div className={styles['body']}>
          <StepMap visit={visit} step={step} lines={plan.treatment?.lines} />
        </div>
        <main id="main" className={styles['main']} aria-live="polite">
          <p className={styles['kind']}>
            {step.told ? step.told.block : kindWords[step.kind]} · step {Math.max(0, index) + 1} of {steps.length}
            {isReady && ' · not begun'}
          </p>
          {step.changes && step.changes.length > 0 && (
            <p className={styles['change']} role="status">
              {step.changes.join(' ')}
            </p>
          )}
          {stopped.length > 0 && (
            <p className={styles['cue']} role="alert">
              <strong>Stopped.</strong> {titleOf(anatomy, stopped[0] ?? step)}{' '}
              {stopped.length > 1 ? `is out of ${stopped.length - 1} more of the rest` : 'does not come again'}. Ask the
              client; U puts it back.
            </p>
          )}
          {isTimeToAsk(isReady ? undefined : step, table.visitMs / 1000, marks) && (
            <p className={styles['ask']} role="status">
              <Kbd>A</Kbd> Ask now: is the pressure right? <Kbd>6</Kbd> lighter <Kbd>7</Kbd> deeper
            </p>
          )}
          {stones.hotBathC !== null && <BathWarning bathC={stones.hotBathC} />}
          {cue && (
            <p className={styles['cue']} role="status">
              <strong>{cue.inS > 0 ? `in ${cue.inS} s` : 'now'}</strong> {cue.words}
            </p>
          )}
          <h1 data-long={titleOf(anatomy, step).length > longTitle || undefined}>{titleOf(anatomy, step)}</h1>
          <p className={styles['direction']} data-long={howOf(anatomy, step).length > longWay || undefined}>
            {howOf(anatomy, step)}
          </p>
          <p className={styles['pressure']}>
            {step.told ? `${step.told.cue} ${step.told.note}` : pressureInWords(step.pressure)}{' '}
            {step.cautions.join(' ')}
          </p>
          {step.told?.tool && <p className={styles['tool']}>With the {step.told.tool}</p>}
          {oilName && <p className={styles['tool']}>With “{oilName}”</p>}
        </main>
      </div>
      <CatchUpBar
        ways={ways}
        isChanged={table.isChanged}
        onTake={({ change }) => refit(change)}
        onUndo={() => refit(noChange)}
      />
      <section className={styles['pace']} aria-label="Pace">
        <Ring step={step} beat={beat} isPaused={state.status === 'paused'} />
        <div className={styles['count']}>
          <span>{step.told?.count === 'hold' ? 'hold' : `of ${step.repetitions}`}</span>
          {step.placements > 1 && (
            <span>
              place {beat.placement} of {step.placements}
            </span>
          )}
          <em>{paceWords(step, beat, state.status)}</em>
        </div>
        <div className={styles['step-clock']}>
          <span>step</span>
          <strong data-over={table.stepMs / 1000 > spanOf(step) + 5 ? true : undefined}>
            {formatClock(table.stepMs / 1000)}
          </strong>
          <span>of {formatClock(spanOf(step))}</span>
        </div>
        <div className={styles['next']}>
          <span>then</span>
          <strong>{next ? titleOf(anatomy, next) : 'the visit is done'}</strong>
          <span>{next ? (next.changes?.[0] ?? howOf(anatomy, next)) : 'let the client rest'}</span>
        </div>
      </section>
      {!isReady && <MarkBar marks={marks.filter(({ stepId }) => stepId === step.id)} onMark={makeMark} onStay={stay} />}
      <footer className={styles['foot']}>
        <Beads steps={steps} index={index} outcomes={state.outcomes} />
        <div className={styles['keys']}>
          <TouchKey onPress={() => goOn('end')} name={isReady ? 'begin' : 'next'} keyName="Space" wide />
          <TouchKey onPress={goBack} name="back" keyName="PgUp" />
          <TouchKey onPress={pause} name={state.status === 'paused' ? 'go on' : 'pause'} keyName="P" />
          <TouchKey onPress={() => goOn('skip')} name="skip" keyName="S" />
          <TouchKey
            onPress={() => setIsSoundOn((on) => !on)}
            name={isSoundOn ? 'beat: sound on' : 'beat: silent'}
            keyName="B"
          />
          <TouchKey
            onPress={() => setIsByClock((on) => !on)}
            name={isByClock ? 'by the clock' : 'by hand'}
            keyName="C"
          />
          <span className={styles['kept']} role="status">
            {keepingWords(table.keeping)}
          </span>
          <Shortcuts list={keys} />
          <a href={`/visits/${visit.id}/plan`}>leave</a>
        </div>
      </footer>
      {state.status === 'paused' && (
        <div className={styles['paused']} role="status">
          paused
        </div>
      )}
    </div>
  );
}

/** Where the plan stands: stones are swapped by it, also when the clock has run away from it. */
function planSeconds(steps: readonly TableStep[], step: TableStep, stepSeconds: number): number {
  const at = steps.findIndex(({ id }) => id === step.id);
  const before = steps.slice(0, Math.max(0, at)).reduce((sum, one) => sum + spanOf(one), 0);
  return before + Math.min(stepSeconds, spanOf(steps[at] ?? step));
}

/** What is on the hands for a step: of the treatment's part, or as drainage is given. */
function handsOf(plan: PlanView, step: TableStep): string {
  const block = plan.treatment?.blocks.find(({ steps }) => steps.includes(step.id));
  if (block) return block.hands === 'tool' ? 'tool' : block.hands === 'brush' ? 'dry brush' : `${block.hands} hands`;
  return plan.drainageCase.school.hand === 'roller' ? 'stone roller' : 'dry hands';
}

const kindWords: Readonly<Record<Step['kind'], string>> = {
  breathe: 'Breathe',
  clear: 'Clear',
  prepare: 'Prepare',
  soften: 'Soften',
  drain: 'Drain',
  carry: 'Carry',
  return: 'Return',
  close: 'Close',
};

function TouchKey({
  onPress,
  name,
  keyName,
  wide = false,
}: {
  readonly onPress: () => void;
  readonly name: string;
  readonly keyName: string;
  readonly wide?: boolean;
}) {
  return (
    <button
      type="button"
      className={styles['key']}
      data-wide={wide ? true : undefined}
      onClick={(event) => {
        onPress();
        event.currentTarget.blur();
      }}
    >
      <Kbd>{keyName}</Kbd> {name}
    </button>
  );
}
