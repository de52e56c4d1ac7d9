import { useEffect, useState } from 'react';
import type { Seconds } from '../../core/quantities';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Pebble } from '../../ui/pebble/Pebble';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { Ring } from '../table/pace';
import { useFootSwitch } from '../table/useFootSwitch';
import type { DrillProps } from './drill-props';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

/** A table that runs at double speed: the strokes are seen, and the hand goes on at the right one. */
export function CountDrill({ question, onChange, best }: DrillProps<'count'>) {
  const { steps, asides, everySeconds, isBlind } = question;
  const [stops, setStops] = useState<readonly number[]>([]);
  /** Quarters of a stroke, so that the ring fills as it does at the table. */
  const [quarters, setQuarters] = useState<number>();
  const stroke = quarters === undefined ? undefined : Math.floor(quarters / 4);
  const isRunning = !best && stroke !== undefined && stops.length < steps.length;
  const step = steps[stops.length];
  useEffect(() => {
    if (!isRunning) return;
    const timer = setTimeout(() => setQuarters((now) => (now ?? 0) + 1), everySeconds * 250);
    return () => clearTimeout(timer);
  }, [everySeconds, isRunning, quarters]);
  const goOn = () => {
    if (best || stops.length >= steps.length) return;
    if (stroke === undefined) {
      setQuarters(0);
      return;
    }
    const next = [...stops, stroke];
    setStops(next);
    setQuarters(0);
    if (next.length === steps.length) onChange({ stops: next });
  };
  useShortcuts([{ keys: ['Space', 'PgDn'], words: practiceWords.onAtTheStroke, act: goOn }], { isSteady: true });
  useFootSwitch((press) => press === 'next' && goOn());
  const whole = stops.reduce((sum, count) => sum + count, 0) + (stroke ?? 0);
  const said = asides.findLast(({ atStroke }) => whole >= atStroke && whole < atStroke + asideStrokes);
  return (
    <div className={styles['fields']}>
      <ol className={styles['counts']} aria-label={practiceWords.toCount}>
        {steps.map(({ place, count }, i) => (
          <li key={place} aria-current={isRunning && i === stops.length ? 'step' : undefined}>
            <Pebble kind="clear" number={count} size={40} state={i < stops.length ? 'done' : 'due'} />
            <span>{place}</span>
            {best && <small>{practiceWords.strokesOf(stops[i] ?? 0, count)}</small>}
          </li>
        ))}
      </ol>
      {isRunning && step && (
        <div className={styles['beat']}>
          <Ring
            step={{ kind: 'clear', repetitions: step.count, placements: 1, seconds: 0 as Seconds }}
            beat={{ placement: 1, repetition: stroke ?? 0, phase: ((quarters ?? 0) % 4) / 4, isOver: false }}
            isPaused={false}
            isNumberHidden={isBlind}
          />
          <p>{step.place}</p>
        </div>
      )}
      <p role="status" className={styles['aside']}>
        {isRunning ? (said?.words ?? '') : ''}
      </p>
      {!best && (
        <Button look="filled" disabled={stops.length >= steps.length} onClick={goOn}>
          <Kbd>{practiceWords.space}</Kbd>{' '}
          {stroke === undefined
            ? practiceWords.begin
            : stops.length >= steps.length
              ? practiceWords.allCounted
              : practiceWords.onNow}
        </Button>
      )}
    </div>
  );
}

/** For so many strokes something that is said stays to be read. */
const asideStrokes = 5;
