import { tableWords } from './table.words';
import { format, parseISO } from 'date-fns';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { RememberedView } from '../../contracts/remembered-views';
import type { TableStones } from '../../contracts/stone-views';
import type { PlanAtWork, VisitAtWork } from '../../contracts/visit-views';
import { phasesOf } from '../../core/drainage/step-words';
import { isTimeToAsk, markWords } from '../../core/table/marks';
import type { MarkKind } from '../../core/table/mark-kinds';
import { spokenAt } from '../../core/table/conduct';
import { beatAt } from '../../core/table/progress';
import { noChange } from '../../core/table/table-event';
import { reachFor } from '../../core/table/reach';
import { shortHowOf, spanOf, type TableStep, titleOf } from '../../core/table/table-step';
import { cueAt, isSaidNow } from '../../core/stones/cues';
import { formatClock } from '../../core/units';
import { AskAgain } from './AskAgain';
import { Bands } from './Bands';
import { CatchUpBar } from './CatchUpBar';
import { CompareNow } from './CompareNow';
import { DropCount } from './DropCount';
import { Finished } from './Finished';
import { keepingWords, offlineWords } from './keeping';
import { MarkBar } from './MarkBar';
import { SideAsk } from './SideAsk';
import { Drift, Ring } from './pace';
import { StepMap } from './StepMap';
import styles from './TableView.module.css';
import { soundAfter } from './conducting';
import { useBeatSound } from './useBeatSound';
import { useConductor } from './useConductor';
import { useFootSwitch } from './useFootSwitch';
import { useOffline } from './useOffline';
import { TaughtStrip } from './TaughtStrip';
import { Count } from './Count';
import { handsOf, planSeconds } from './of-plan';
import { pressesOf } from './presses';
import { TableFoot } from './TableFoot';
import { useTable } from './useTable';
import { useTableKeys } from './useTableKeys';
import { useWakeLock } from './useWakeLock';
import { Words } from './Words';
import { Zones } from './Zones';
import { unpacked } from '../../ui/frame/packed';

const ConductingDialog = lazy(() =>
  import('./ConductingDialog').then((found) => ({ default: found.ConductingDialog })),
);

interface Props {
  readonly visit: VisitAtWork;
  readonly plan: PlanAtWork;
  readonly stones?: TableStones;
  /** Kinds of work in which every step is said and asked about first. */
  readonly askedWork?: readonly string[];
  /** What hands found at earlier visits. */
  readonly remembered?: readonly RememberedView[];
  /** The plan was made today. */
  readonly isOfToday?: boolean;
}

/** How long it is said that a technique was stopped (ms). */
const stoppedMs = 30_000;
/** A breath between the last repetition and the next step, when the clock leads (ms). */
const byClockMs = 1500;

const noStones: TableStones = { cues: [], hotBathC: null };

/** The treatment as it runs: one step, readable at arm’s length and more, by foot switch, space bar or a touch. */
function TableView({ visit, plan, stones = noStones, askedWork = [], remembered = [], isOfToday = true }: Props) {
  const availableSeconds = plan.treatment?.availableSeconds ?? plan.drainageCase.minutes * 60;
  const table = useTable(visit, plan.steps, plan.version, availableSeconds);
  const { state, steps, index, goOn, goBack, pause, ways, refit, marks, mark, stay, role } = table;
  const [isByClock, setIsByClock] = useState(false);
  const [isWhyShown, setIsWhyShown] = useState(false);
  const [isSetting, setIsSetting] = useState(false);
  const [bathTrouble, setBathTrouble] = useState<string>();
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
  const wakeLock = useWakeLock(state.status === 'running' || state.status === 'paused');
  const isAtItsEnd = state.status === 'finished';
  const offline = useOffline(visit.id, isAtItsEnd && table.keeping.kind === 'saved');
  const pressed = pressesOf(table, makeMark);
  const foot = useFootSwitch((press) => {
    if (press === 'next') pressed.onNext();
    else pressed.onBack();
  });
  const planS = step && state.status !== 'ready' ? planSeconds(plan.steps, step, table.stepMs / 1000) : 0;
  const stoneNow = cueAt(stones.cues, planS);
  const stoneCue = stoneNow && isSaidNow(stoneNow, planS) ? stoneNow.words : undefined;
  const conductor = useConductor(
    step &&
      beat &&
      spokenAt(anatomy, {
        ...{ step, beat, next: steps[Math.max(0, index) + 1] },
        ...{ stepSeconds: table.stepMs / 1000, status: state.status, mustAsk: table.again.length > 0, stoneCue },
      }),
  );
  const { sound } = conductor.conducting;
  const nextSound = () => conductor.change({ sound: soundAfter(sound) });
  const { say } = conductor;
  const compared = table.looking && markWords[table.looking.asks].name;
  useEffect(() => {
    if (compared !== undefined && sound === 'voice') say(compared);
  }, [compared, say, sound]);
  const aside = bathTrouble ?? (wakeLock === 'lost' ? tableWords.theScreenMayGoDark : undefined);
  useEffect(() => {
    if (aside !== undefined && sound === 'voice') say(aside);
  }, [aside, say, sound]);
  useBeatSound(
    sound === 'beats' && state.status === 'running' && beat !== undefined && beat.repetition > 0 && !beat.isOver,
    `${index} ${beat?.placement} ${beat?.repetition}`,
  );
  useTableKeys(
    {
      ...{ goOn, goBack, pause, stay, mark: makeMark },
      side: table.asked ? table.answerSide : undefined,
      again: table.again.length > 0 ? makeMark : undefined,
      compare: table.looking ? table.lookAway : table.compare,
      compared: table.looking && table.seen,
      takeWay: ({ change }) => refit(change),
      undo: () => refit(noChange),
      toggleSound: nextSound,
      setSound: () => setIsSetting(true),
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
        {wakeLock === 'lost' && sound === 'voice' && (
          <p className={styles['band']} role="status">
            <strong>{tableWords.theScreenMayGoDark}</strong> {tableWords.theVoiceGoesOn}
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
          onBathTrouble={setBathTrouble}
          cue={stoneNow}
          oilName={oilOf(step)}
          foundLastTime={remembered
            .filter(({ place, wasLastTime }) => wasLastTime && (step.told?.places ?? [step.place]).includes(place))
            .map(({ what }) => what.toLowerCase())}
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
          <MarkBar
            marks={marks.filter(({ stepId }) => stepId === step.id)}
            onMark={makeMark}
            onStay={stay}
            onCompare={table.compare}
          />
        )}
      </div>
      <TableFoot
        visitId={visit.id}
        table={table}
        sound={sound}
        isByClock={isByClock}
        kept={[keepingWords(table.keeping), offlineWords(offline)]}
        onSound={nextSound}
        onSetSound={() => setIsSetting(true)}
        onClock={() => setIsByClock((on) => !on)}
      />
      {table.looking && <CompareNow comparison={table.looking} onSeen={table.seen} onClose={table.lookAway} />}
      {isSetting && (
        <Suspense>
          <ConductingDialog
            conducting={conductor.conducting}
            voices={conductor.voices()}
            onChange={conductor.change}
            onTry={() => say(`${titleOf(anatomy, step)}.`)}
            onClose={() => setIsSetting(false)}
          />
        </Suspense>
      )}
      {state.status === 'paused' && (
        <div className={styles['paused']} role="status">
          {tableWords.paused}
        </div>
      )}
    </div>
  );
}

/** As the page shows it. */
export const TableIsland = unpacked(TableView);
