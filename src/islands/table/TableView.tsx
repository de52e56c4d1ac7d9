import { tableWords } from './table.words';
import type { Seconds } from '../../core/quantities';
import { format, parseISO } from 'date-fns';
import { useCallback, useEffect, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TableStones } from '../../contracts/stone-views';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { phasesOf } from '../../core/drainage/step-words';
import { isTimeToAsk } from '../../core/table/marks';
import type { MarkKind } from '../../core/table/mark-kinds';
import { type Beat, beatAt } from '../../core/table/progress';
import { noChange } from '../../core/table/table-event';
import { reachFor } from '../../core/table/reach';
import { shortHowOf, spanOf, type TableStep, titleOf } from '../../core/table/table-step';
import { cueAt } from '../../core/stones/cues';
import { formatClock } from '../../core/units';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { AskAgain } from './AskAgain';
import { Bands } from './Bands';
import { CatchUpBar } from './CatchUpBar';
import { DropCount } from './DropCount';
import { Finished } from './Finished';
import { keepingWords, offlineWords } from './keeping';
import { MarkBar } from './MarkBar';
import { SideAsk } from './SideAsk';
import { Beads, Drift, paceWords, Ring } from './pace';
import { StepMap } from './StepMap';
import styles from './TableView.module.css';
import { TouchKey } from './TouchKey';
import { useBeatSound } from './useBeatSound';
import { useFootSwitch } from './useFootSwitch';
import { useOffline } from './useOffline';
import { TaughtStrip } from './TaughtStrip';
import { useTable } from './useTable';
import { useTableKeys } from './useTableKeys';
import { useWakeLock } from './useWakeLock';
import { Words } from './Words';
import { Zones } from './Zones';

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanView;
  readonly stones?: TableStones;
  /** Kinds of work in which every step is said and asked about first. */
  readonly askedWork?: readonly string[];
  /** The plan was made today. */
  readonly isOfToday?: boolean;
}

/** How long it is said that a technique was stopped (ms). */
const stoppedMs = 30_000;
/** A breath between the last repetition and the next step, when the clock leads (ms). */
const byClockMs = 1500;

const noStones: TableStones = { cues: [], hotBathC: null };

/** The treatment as it runs: one step, readable at arm’s length and more, by foot switch, space bar or a touch. */
export function TableView({ visit, plan, stones = noStones, askedWork = [], isOfToday = true }: Props) {
  const availableSeconds = plan.treatment?.availableSeconds ?? plan.drainageCase.minutes * 60;
  const table = useTable(visit, plan.steps, plan.version, availableSeconds);
  const { state, steps, index, goOn, goBack, pause, ways, refit, marks, mark, stay, role } = table;
  const [isSoundOn, setIsSoundOn] = useState(false);
  const [isByClock, setIsByClock] = useState(false);
  const [isWhyShown, setIsWhyShown] = useState(false);
  const [stopped, setStopped] = useState<readonly TableStep[]>([]);
  const [trouble, setTrouble] = useState<string>();
  const makeMark = useCallback(
    (kind: MarkKind) => {
      const out = mark(kind);
      if ((kind === 'pain' || kind === 'declined') && out.length > 0) setStopped(out);
    },
    [mark],
  );
  useEffect(() => {
    if (stopped.length === 0) return;
    const timer = setTimeout(() => setStopped([]), stoppedMs);
    return () => clearTimeout(timer);
  }, [stopped]);
  const takeOver = () =>
    void table.takeOver().then((isDone) => setTrouble(isDone ? undefined : tableWords.theHouseDoesNotAnswerTry));

  const step = steps[Math.max(0, index)];
  const beat = step ? beatAt(step, table.stepMs) : undefined;
  const isOver = beat?.isOver ?? false;
  useEffect(() => {
    if (!isByClock || !isOver || state.status !== 'running') return;
    const timer = setTimeout(() => goOn('end'), byClockMs);
    return () => clearTimeout(timer);
  }, [goOn, isByClock, isOver, state.status, state.stepId]);
  useWakeLock(state.status === 'running' || state.status === 'paused');
  const isAtItsEnd = state.status === 'finished';
  const offline = useOffline(visit.id, isAtItsEnd && table.keeping.kind === 'saved');
  const pressed = pressesOf(table, makeMark);
  const foot = useFootSwitch((press) => {
    if (press === 'next') pressed.onNext();
    else pressed.onBack();
  });
  useBeatSound(
    isSoundOn && state.status === 'running' && beat !== undefined && beat.repetition > 0 && !beat.isOver,
    `${index} ${beat?.placement} ${beat?.repetition}`,
  );
  useTableKeys(
    {
      ...{ goOn, goBack, pause, stay, mark: makeMark },
      side: table.asked ? table.answerSide : undefined,
      again: table.again.length > 0 ? makeMark : undefined,
      takeWay: ({ change }) => refit(change),
      undo: () => refit(noChange),
      toggleSound: () => setIsSoundOn((on) => !on),
      toggleClock: () => setIsByClock((on) => !on),
      drop: table.drop,
      toggleWhy: () => setIsWhyShown((on) => !on),
      takeOver: role === 'leads' ? undefined : takeOver,
    },
    ways,
  );

  if (!step || !beat) return null;
  if (isAtItsEnd)
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
  const oilOf = (of: TableStep) => {
    const oil = plan.treatment?.blocks.find(({ steps: own }) => own.includes(of.id))?.oil;
    return oil && visit.blends[oil]?.blend.name;
  };
  const reach = reachFor(step, next, oilOf);
  const wanted = isReady ? undefined : step.told?.dropped;
  const fell = table.dropped.find(({ stepId }) => stepId === step.id)?.drops ?? 0;
  const drops = wanted && { fell, of: wanted.drops };
  const { drop } = table;
  return (
    <div className={styles['view']} aria-busy={table.storeKind === undefined ? true : undefined}>
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
          {tableWords.visit} <strong>{formatClock(table.visitMs / 1000)}</strong> {tableWords.of} {formatClock(total)}
        </span>
      </header>
      <div className={styles['bands']}>
        <Bands role={role} storeKind={table.storeKind} onTakeOver={takeOver} trouble={trouble} />
        {isReady && !isOfToday && (
          <p className={styles['band']} role="status">
            <strong>{tableWords.thisPlanIsOf(format(parseISO(plan.madeOn), 'd MMMM'))}</strong>{' '}
            {tableWords.hasTodayBeenAsked} <a href={`/visits/${visit.id}/ask`}>{tableWords.askBeforeYouBegin}</a>
          </p>
        )}
        {foot === 'lost' && (
          <p className={styles['band']} role="status">
            <strong>{tableWords.theFootSwitchIsSilent}</strong> {tableWords.theSpaceBarAndATouch}
          </p>
        )}
      </div>
      <div className={styles['middle']}>
        <div className={styles['body']} data-asking={table.asked ? true : undefined}>
          <StepMap visit={visit} step={step} lines={plan.treatment?.lines} />
        </div>
        <Words
          step={step}
          place={{ number: Math.max(0, index) + 1, of: steps.length }}
          isReady={isReady}
          stopped={stopped}
          isSaidFirst={askedWork.includes(step.told?.modality ?? 'lymph-drainage')}
          isAsking={isTimeToAsk(isReady ? undefined : step, table.visitMs / 1000, marks)}
          stones={stones}
          cue={cueAt(stones.cues, isReady ? 0 : planSeconds(plan.steps, step, table.stepMs / 1000))}
          oilName={oilOf(step)}
        />
        <Zones {...pressed} />
      </div>
      <CatchUpBar
        ways={role === 'leads' ? ways : []}
        isChanged={table.isChanged}
        onTake={({ change }) => refit(change)}
        onUndo={() => refit(noChange)}
      />
      <section className={styles['pace']} aria-label={tableWords.pace}>
        <Ring step={step} beat={beat} isPaused={state.status === 'paused'} drops={drops} />
        <div className={styles['count']}>
          {wanted && plan.treatment?.layers ? (
            <DropCount wanted={wanted} layers={plan.treatment.layers} dropped={table.dropped} />
          ) : (
            <Count step={step} beat={beat} status={state.status} />
          )}
        </div>
        <div className={styles['step-clock']}>
          <span>{tableWords.step}</span>
          <strong data-over={table.stepMs / 1000 > spanOf(step) + 5 ? true : undefined}>
            {formatClock(table.stepMs / 1000)}
          </strong>
          <span>{tableWords.of2(formatClock(spanOf(step)))}</span>
        </div>
        <div className={styles['next']}>
          <span>{tableWords.then}</span>
          <strong>{next ? titleOf(anatomy, next) : tableWords.theVisitIsDone}</strong>
          {reach.length > 0 ? <em>{reach.join(' ')}</em> : <span>{next && shortHowOf(anatomy, next)}</span>}
        </div>
      </section>
      <div className={styles['below']}>
        <TaughtStrip taught={step.taught} isWhyShown={isWhyShown} />
        {table.again.length > 0 && <AskAgain questions={table.again} onAnswer={makeMark} />}
        {table.asked && <SideAsk kind={table.asked.kind} onSide={table.answerSide} />}
        {!isReady && (
          <MarkBar marks={marks.filter(({ stepId }) => stepId === step.id)} onMark={makeMark} onStay={stay} />
        )}
      </div>
      <footer className={styles['foot']}>
        <Beads steps={steps} index={index} outcomes={state.outcomes} />
        <div className={styles['keys']}>
          <TouchKey onPress={() => goOn('end')} name={isReady ? 'begin' : 'next'} keyName="Space" wide />
          <TouchKey onPress={goBack} name="back" keyName="PgUp" />
          <TouchKey onPress={pause} name={state.status === 'paused' ? tableWords.goOn : 'pause'} keyName="P" />
          <TouchKey onPress={() => goOn('skip')} name="skip" keyName="S" />
          {/* Where drops are counted there is no pace to beat; B and C stay on the keyboard. */}
          {drop && <TouchKey onPress={() => drop(1)} name={tableWords.aDrop} keyName="D" wide />}
          {drop && <TouchKey onPress={() => drop(-1)} name={tableWords.oneTooMany} keyName="Z" />}
          {!drop && (
            <>
              <TouchKey
                onPress={() => setIsSoundOn((on) => !on)}
                name={isSoundOn ? tableWords.beatSoundOn : tableWords.beatSilent}
                keyName="B"
              />
              <TouchKey
                onPress={() => setIsByClock((on) => !on)}
                name={isByClock ? tableWords.byTheClock : tableWords.byHand}
                keyName="C"
              />
            </>
          )}
          <span className={styles['kept']} role="status">
            {keepingWords(table.keeping)}
            <small>{offlineWords(offline)}</small>
          </span>
          <Shortcuts />
          <a href={`/visits/${visit.id}/plan`}>{tableWords.leave}</a>
        </div>
      </footer>
      {state.status === 'paused' && (
        <div className={styles['paused']} role="status">
          {tableWords.paused}
        </div>
      )}
    </div>
  );
}

/** Beside the number of the pace: of how many, at which place, and what the pace asks for. */
function Count({ step, beat, status }: { readonly step: TableStep; readonly beat: Beat; readonly status: string }) {
  return (
    <>
      <span>{step.told?.count === 'hold' ? tableWords.secondsLeft : `of ${step.repetitions}`}</span>
      {step.told?.rounds && step.told.rounds.length > 1 && (
        <span>
          {tableWords.place} {beat.placement} {tableWords.of} {step.told.rounds.length} ·{' '}
          {step.told.rounds[beat.placement - 1]}
        </span>
      )}
      {step.placements > 1 && <span>{tableWords.placeOf(beat.placement, step.placements)}</span>}
      <em>{paceWords(step, beat, status)}</em>
    </>
  );
}

/** What the two zones and the two pedals do now: answer what is asked, or go on and back. */
function pressesOf(
  { again, asked, answerSide, goOn, goBack, state }: ReturnType<typeof useTable>,
  makeMark: (kind: MarkKind) => void,
) {
  if (again.length > 0)
    return {
      onNext: () => makeMark('asked-again'),
      onBack: () => makeMark('declined'),
      nextName: tableWords.nothingSpeaksAgainstIt,
      backName: tableWords.leaveThisWorkOut,
    };
  if (asked)
    return {
      onNext: () => answerSide('right'),
      onBack: () => answerSide('left'),
      nextName: tableWords.theClientsRight,
      backName: tableWords.theClientsLeft,
    };
  const nextName = state.status === 'ready' ? 'begin' : tableWords.nextStep;
  return { onNext: () => goOn('end'), onBack: goBack, nextName, backName: 'back' };
}

/** Where the plan stands: stones are swapped by it, also when the clock has run away from it. */
function planSeconds(steps: readonly TableStep[], step: TableStep, stepSeconds: Seconds): number {
  const at = steps.findIndex(({ id }) => id === step.id);
  const before = steps.slice(0, Math.max(0, at)).reduce((sum, one) => sum + spanOf(one), 0);
  return before + Math.min(stepSeconds, spanOf(steps[at] ?? step));
}

/** What is on the hands for a step: of the treatment’s part, or as drainage is given. */
function handsOf(plan: PlanView, step: TableStep): string {
  const block = plan.treatment?.blocks.find(({ steps }) => steps.includes(step.id));
  if (block)
    return block.hands === 'tool'
      ? 'tool'
      : block.hands === 'brush'
        ? tableWords.dryBrush
        : tableWords.hands(block.hands);
  return plan.drainageCase.school.hand === 'roller' ? tableWords.stoneRoller : tableWords.dryHands;
}
