import { MoveRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlanView, VisitView } from '../../contracts/views';
import type { Step } from '../../core/drainage/step';
import { phasesOf, pressureInWords, stepDirection, stepTitle } from '../../core/drainage/step-words';
import { type Beat, beatAt } from '../../core/table/progress';
import { formatClock } from '../../core/units';
import { BodyMap, type RegionMark } from '../../ui/body-map/BodyMap';
import { bestDrawing } from '../../ui/body-map/views';
import { Kbd } from '../../ui/kbd/Kbd';
import { type Shortcut, Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { pebbleOutlines } from '../../ui/pebbles';
import { marksOf } from '../body-marks';
import styles from './TableView.module.css';
import { useBeatSound } from './useBeatSound';
import { type Keeping, useTable } from './useTable';
import { useWakeLock } from './useWakeLock';

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanView;
}

const driftSeconds = 60;

const keys: readonly Shortcut[] = [
  [['Space', 'Enter', 'PgDn'], 'done, on to the next step (foot switch)'],
  [['PgUp'], 'back one step'],
  [['P'], 'pause, and go on'],
  [['S'], 'skip this step'],
  [['B'], 'sound of the beat on or off'],
];

/** The treatment as it runs: one step, readable at arm's length and more, by foot switch, space bar or a touch. */
export function TableView({ visit, plan }: Props) {
  const { steps } = plan;
  const table = useTable(visit, steps, plan.version);
  const { state, index, goOn, goBack, pause } = table;
  const [isSoundOn, setIsSoundOn] = useState(false);
  const step = steps[Math.max(0, index)];
  const beat = step ? beatAt(step, table.stepMs) : undefined;
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
        b: () => setIsSoundOn((on) => !on),
        B: () => setIsSoundOn((on) => !on),
      };
      const act = acts[event.key];
      if (!act || (isOnControl && (event.key === ' ' || event.key === 'Enter'))) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [goOn, goBack, pause]);

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
  const total = steps.reduce((sum, s) => sum + s.seconds, 0);
  const isReady = state.status === 'ready';
  return (
    <div className={styles['view']}>
      <header className={styles['head']}>
        <strong>{visit.client.name.split(' ')[0]}</strong>
        <span>{plan.drainageCase.school.hand === 'roller' ? 'stone roller' : 'dry hands'}</span>
        <span>{phasesOf(steps)[Math.max(0, index)]?.toLowerCase()}</span>
        <Drift steps={steps} index={index} visitMs={table.visitMs} stepMs={table.stepMs} />
        <span className={styles['clock']}>
          visit <strong>{formatClock(table.visitMs / 1000)}</strong> of {formatClock(total)}
        </span>
      </header>
      <div className={styles['middle']}>
        <div className={styles['body']}>
          <StepMap visit={visit} step={step} />
        </div>
        <main id="main" className={styles['main']} aria-live="polite">
          <p className={styles['kind']}>
            {kindWords[step.kind]} · step {Math.max(0, index) + 1} of {steps.length}
            {isReady && ' · not begun'}
          </p>
          <h1>{stepTitle(anatomy, step)}</h1>
          <p className={styles['direction']}>
            {step.toward !== null && <MoveRight size={40} strokeWidth={2.2} aria-hidden="true" />}
            {stepDirection(anatomy, step)}
          </p>
          <p className={styles['pressure']}>
            {pressureInWords(step.pressure)} {step.cautions.join(' ')}
          </p>
        </main>
      </div>
      <section className={styles['pace']} aria-label="Pace">
        <Ring step={step} beat={beat} isPaused={state.status === 'paused'} />
        <div className={styles['count']}>
          <span>of {step.repetitions}</span>
          {step.placements > 1 && (
            <span>
              place {beat.placement} of {step.placements}
            </span>
          )}
          <em>{paceWords(step, beat, state.status)}</em>
        </div>
        <div className={styles['step-clock']}>
          <span>step</span>
          <strong data-over={table.stepMs / 1000 > step.seconds + 5 ? true : undefined}>
            {formatClock(table.stepMs / 1000)}
          </strong>
          <span>of {formatClock(step.seconds)}</span>
        </div>
        <div className={styles['next']}>
          <span>then</span>
          <strong>{next ? stepTitle(anatomy, next) : 'the visit is done'}</strong>
          <span>{next ? stepDirection(anatomy, next) : 'let the client rest'}</span>
        </div>
      </section>
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

function paceWords(step: Step, beat: Beat, status: string): string {
  if (status === 'ready') return 'press Space to begin';
  if (status === 'paused') return 'paused';
  if (beat.isOver) return 'done: go on when ready';
  if (beat.repetition === 0) return 'find the place';
  if (step.kind === 'breathe') return beat.phase < 0.5 ? 'breathe in' : 'breathe out';
  if (step.kind === 'carry' || step.kind === 'return') return 'one slow stroke';
  if (beat.phase >= 1) return 'move on';
  return 'one a second';
}

function keepingWords(keeping: Keeping): string {
  switch (keeping.kind) {
    case 'kept':
      return 'all kept';
    case 'sending':
      return 'keeping …';
    case 'waiting':
      return `${keeping.count} kept here, sent when the house answers`;
    case 'refused':
      return keeping.text;
  }
}

function Drift({
  steps,
  index,
  visitMs,
  stepMs,
}: {
  readonly steps: readonly Step[];
  readonly index: number;
  readonly visitMs: number;
  readonly stepMs: number;
}) {
  if (index < 0) return <span className={styles['drift']} />;
  const step = steps[index];
  const planned =
    steps.slice(0, index).reduce((sum, s) => sum + s.seconds, 0) + Math.min(stepMs / 1000, step?.seconds ?? 0);
  const drift = visitMs / 1000 - planned;
  if (Math.abs(drift) < driftSeconds) return <span className={styles['drift']}>on time</span>;
  const minutes = Math.floor(Math.abs(drift) / 60);
  return (
    <span className={styles['drift']} data-late={drift > 0 ? true : undefined}>
      {minutes} min {drift > 0 ? 'behind' : 'ahead'}
    </span>
  );
}

/** The count in its pebble; the edge fills with each repetition. */
function Ring({ step, beat, isPaused }: { readonly step: Step; readonly beat: Beat; readonly isPaused: boolean }) {
  const d = pebbleOutlines[step.kind];
  return (
    <svg
      className={styles['ring']}
      viewBox="-17 -14 34 28"
      role="img"
      aria-label={`Repetition ${beat.repetition} of ${step.repetitions}`}
      data-kind={step.kind}
    >
      <path d={d} className={styles['ringBed']} pathLength={1} />
      <path
        d={d}
        className={styles['ringBeat']}
        pathLength={1}
        strokeDasharray={`${beat.isOver ? 1 : beat.phase} 1`}
        data-paused={isPaused ? true : undefined}
      />
      <text textAnchor="middle" y="4.9" className={styles['number']}>
        {beat.repetition === 0 ? step.repetitions : beat.repetition}
      </text>
    </svg>
  );
}

/** Where on the body and which way; what may not be touched stays marked. */
function StepMap({ visit, step }: { readonly visit: VisitView; readonly step: Step }) {
  const marks = marksOf(visit.findings);
  const places = [step.place, ...step.via, ...(step.toward ? [step.toward] : [])];
  const drawing =
    step.kind === 'breathe'
      ? { view: 'front' as const, side: 'left' as const }
      : bestDrawing(anatomy.territories.has(step.place) ? [step.place] : places);
  const zoomTo = step.kind === 'breathe' ? ['abdomen-upper.left', 'abdomen-lower.right'] : places;
  const regions = new Map<string, RegionMark>(marks.regions);
  for (const id of step.via) if (!regions.has(id)) regions.set(id, { tone: 'open', words: 'on the way' });
  if (step.toward && anatomy.territories.has(step.toward) && !regions.has(step.toward))
    regions.set(step.toward, { tone: 'open', words: 'where it goes' });
  if (step.kind === 'breathe')
    for (const name of ['abdomen-upper', 'abdomen-lower'])
      for (const side of ['left', 'right']) regions.set(`${name}.${side}`, { tone: 'active', words: 'breathe here' });
  else if (anatomy.territories.has(step.place)) regions.set(step.place, { tone: 'active', words: 'here' });
  const nodes = new Map(marks.nodes);
  if (step.toward && anatomy.basins.has(step.toward)) nodes.set(step.toward, 'open');
  if (anatomy.basins.has(step.place) && step.kind !== 'breathe') nodes.set(step.place, 'to clear');
  return (
    <BodyMap
      view={drawing.view}
      side={drawing.side}
      label="Where the hands are"
      regions={regions}
      nodes={nodes}
      signs={marks.signs}
      zoomTo={zoomTo}
      selected={anatomy.basins.has(step.place) ? step.place : undefined}
      routes={step.toward ? [{ key: step.id, path: places, tone: 'moss', isActive: true }] : []}
    />
  );
}

function Beads({
  steps,
  index,
  outcomes,
}: {
  readonly steps: readonly Step[];
  readonly index: number;
  readonly outcomes: ReadonlyMap<string, { readonly state: string }>;
}) {
  return (
    <ol className={styles['beads']} aria-label={`Step ${index + 1} of ${steps.length}`}>
      {steps.map((step, i) => (
        <li key={step.id} data-state={i === index ? 'here' : (outcomes.get(step.id)?.state ?? 'due')}>
          <svg viewBox="-17 -14 34 28" aria-hidden="true">
            <path d={pebbleOutlines[step.kind]} />
          </svg>
        </li>
      ))}
    </ol>
  );
}

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

function Finished({
  visit,
  visitMs,
  done,
  total,
  keeping,
}: {
  readonly visit: VisitView;
  readonly visitMs: number;
  readonly done: number;
  readonly total: number;
  readonly keeping: Keeping;
}) {
  return (
    <main id="main" className={styles['finished']}>
      <h1>All done</h1>
      <p>
        {done} of {total} steps in {formatClock(visitMs / 1000)}. Let the client rest a moment; water stands ready.
      </p>
      <p className={styles['kept']} role="status">
        {keepingWords(keeping)}
      </p>
      <a className={styles['onward']} href={`/visits/${visit.id}/close`}>
        Look again and close
      </a>
    </main>
  );
}
