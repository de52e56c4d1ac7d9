import { tableWords } from './table.words';
import type { Seconds } from '../../core/quantities';
import { type PacedStep, spanOf, type TableStep } from '../../core/table/table-step';
import { breathAt, isLedByBreath } from '../../core/table/breath';
import { type Beat, repetitionMsOf } from '../../core/table/progress';
import { pebbleOutlines } from '../../ui/pebbles';
import styles from './pace.module.css';

const driftSeconds = 60;

/** What the pace asks for right now. */
export function paceWords(step: TableStep, beat: Beat, status: string): string {
  if (status === 'ready') return tableWords.pressSpaceToBegin;
  if (status === 'paused') return 'paused';
  if (beat.isOver) return tableWords.doneGoOnWhenReady;
  if (beat.repetition === 0) return step.setupSeconds ? tableWords.makeTheChangeThenFindThe : tableWords.findThePlace;
  const kind = paceKindOf(step);
  if (kind === 'hold')
    return step.repetitions > 1 ? tableWords.holdOf(beat.repetition, step.repetitions) : tableWords.holdStill;
  const breath = breathAt(step, beat);
  if (breath)
    return breath.isRelease ? tableWords.letGo : breath.part === 'in' ? tableWords.breatheIn : tableWords.breatheOut;
  if (step.told) return tableWords.slowlyOneAtATime;
  if (step.kind === 'carry' || step.kind === 'return') return tableWords.oneSlowStroke;
  if (beat.phase >= 1) return tableWords.moveOn;
  return tableWords.oneASecond;
}

/** Whether clock and plan have drifted apart by more than a minute. */
export function Drift({
  steps,
  index,
  visitMs,
  stepMs,
  overSeconds,
}: {
  readonly steps: readonly TableStep[];
  readonly index: number;
  readonly visitMs: number;
  readonly stepMs: number;
  /** Once the plan was changed on the way: how far beyond the time it ends. */
  readonly overSeconds: Seconds | undefined;
}) {
  if (index < 0) return <span className={styles['drift']} />;
  if (overSeconds !== undefined) {
    const late = Math.floor(overSeconds / 60);
    return (
      <span className={styles['drift']} data-late={late > 0 ? true : undefined}>
        {late > 0 ? tableWords.endsMinLate(late) : tableWords.endsInTime}
      </span>
    );
  }
  const step = steps[index];
  const planned =
    steps.slice(0, index).reduce((sum, s) => sum + spanOf(s), 0) + Math.min(stepMs / 1000, step ? spanOf(step) : 0);
  const drift = visitMs / 1000 - planned;
  if (Math.abs(drift) < driftSeconds) return <span className={styles['drift']}>{tableWords.onTime}</span>;
  const minutes = Math.floor(Math.abs(drift) / 60);
  return (
    <span className={styles['drift']} data-late={drift > 0 ? true : undefined}>
      {minutes} {tableWords.min} {drift > 0 ? tableWords.behind : tableWords.ahead}
    </span>
  );
}

interface RingProps {
  readonly step: PacedStep;
  readonly beat: Beat;
  readonly isPaused: boolean;
  /** Drops that fell, in a step in which they are what is counted. */
  readonly drops?: { readonly fell: number; readonly of: number } | undefined;
  /** The strokes are seen and their number is not: for who practises to keep the count. */
  readonly isNumberHidden?: boolean;
}

/** How the pace of a step is drawn: a count that fills, a hold that runs down, or a breath that swells and sinks. */
export type PaceKind = 'count' | 'hold' | 'breath';
const paceKindOf = (step: PacedStep): PaceKind =>
  isLedByBreath(step) ? 'breath' : step.told?.count === 'hold' ? 'hold' : 'count';

/** Seconds that are left of the hold at hand. */
const holdLeft = (step: PacedStep, beat: Beat) =>
  Math.max(0, Math.ceil(((1 - beat.phase) * repetitionMsOf(step)) / 1000));

/** The pace in its pebble. */
export function Ring({ step, beat, isPaused, drops, isNumberHidden = false }: RingProps) {
  const kind = paceKindOf(step);
  const breath = breathAt(step, beat);
  const d = pebbleOutlines[step.kind];
  const isHeld = kind === 'hold' && beat.repetition > 0 && !beat.isOver;
  const counted = isHeld ? holdLeft(step, beat) : beat.repetition === 0 ? step.repetitions : beat.repetition;
  const shown = drops ? drops.fell : counted;
  const passed = beat.isOver ? 1 : isHeld ? 1 - beat.phase : beat.phase;
  const filled = drops ? Math.min(1, drops.fell / drops.of) : passed;
  return (
    <svg
      className={styles['ring']}
      viewBox="-17 -14 34 28"
      role="img"
      aria-label={
        isNumberHidden
          ? tableWords.strokesGoOn
          : drops
            ? tableWords.dropsOf(drops.fell, drops.of)
            : isHeld
              ? tableWords.secondsOfTheHoldAreLeft(shown)
              : tableWords.repetitionOf(beat.repetition, step.repetitions)
      }
      data-kind={step.kind}
      data-pace={kind}
    >
      {breath && (
        <path d={d} className={styles['breath']} style={{ transform: `scale(${breathScale(breath.fullness)})` }} />
      )}
      <path d={d} className={styles['ringBed']} pathLength={1} />
      {kind !== 'breath' && (
        <path
          d={d}
          className={styles['ringBeat']}
          pathLength={1}
          strokeDasharray={`${filled} 1`}
          data-paused={isPaused ? true : undefined}
        />
      )}
      {!isNumberHidden && (
        <text textAnchor="middle" y="4.9" className={styles['number']}>
          {shown}
        </text>
      )}
    </svg>
  );
}

const smallestBreath = 0.32;

/** It swells and sinks, easing at both ends as breath does. */
const breathScale = (fullness: number) => smallestBreath + (1 - smallestBreath) * fullness;

/** Every step as a pebble: done, skipped, at hand, to come. */
export function Beads({
  steps,
  index,
  outcomes,
}: {
  readonly steps: readonly TableStep[];
  readonly index: number;
  readonly outcomes: ReadonlyMap<string, { readonly state: string }>;
}) {
  return (
    <ol className={styles['beads']} aria-label={tableWords.stepOf(index + 1, steps.length)}>
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
