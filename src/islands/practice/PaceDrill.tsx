import { useEffect, useState } from 'react';
import { readPace } from '../../core/training/pace';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { useBeatSound } from '../table/useBeatSound';
import { useFootSwitch } from '../table/useFootSwitch';
import type { DrillProps } from './drill-props';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

type Question = DrillProps<'pace'>['question'];

const lookMs = 100;
/** Of a minute that is broken off nothing is counted. */
const leastShare = 0.75;

/** A minute of strokes, by touch, Space or foot switch; the moment is that of the press itself. */
export function PaceDrill({ question, onChange, best }: DrillProps<'pace'>) {
  const [taps, setTaps] = useState<readonly number[]>([]);
  const [nowMs, setNowMs] = useState(0);
  const [first] = taps;
  const elapsedS = first === undefined ? 0 : Math.max(0, (nowMs - first) / 1000);
  const isOver = elapsedS >= question.seconds;
  const isRunning = first !== undefined && !isOver;
  const pace = isOver ? readPace(taps) : undefined;
  const isLost = isOver && (!pace || pace.spanMs < leastShare * question.seconds * 1000);
  const tap = (stamp: number) => {
    if (best || isOver) return;
    setTaps((before) => [...before, stamp]);
  };
  useEffect(() => {
    if (!isRunning) return;
    const timer = setInterval(() => setNowMs(performance.now()), lookMs);
    return () => clearInterval(timer);
  }, [isRunning]);
  useEffect(() => {
    if (isOver && !isLost) onChange({ taps: taps.map((stamp) => Math.round(stamp - (taps[0] ?? 0))) });
    // Told once, when the minute is over.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isOver]);
  useShortcuts([{ keys: ['Space', 'PgDn'], words: practiceWords.tap, act: ({ timeStamp }) => tap(timeStamp) }], {
    isSteady: true,
  });
  useFootSwitch((press, stampMs) => press === 'next' && tap(stampMs));
  const everyS = (question.low + question.high) / 2;
  useBeatSound(isRunning && elapsedS < question.heardSeconds, String(Math.floor(elapsedS / everyS)));
  return (
    <div className={styles['fields']}>
      <p>{practiceWords.everySeconds(question.low, question.high)}</p>
      <button
        type="button"
        className={styles['tapPad']}
        disabled={isOver || best !== undefined}
        onPointerDown={({ timeStamp }) => tap(timeStamp)}
        onClick={({ detail, timeStamp }) => detail === 0 && tap(timeStamp)}
      >
        {practiceWords.tap} <Kbd>{practiceWords.space}</Kbd>
      </button>
      <p role="status">
        {first === undefined
          ? practiceWords.startTheMinute
          : practiceWords.secondsLeft(Math.max(0, Math.ceil(question.seconds - elapsedS)))}{' '}
        · {practiceWords.tapsSoFar(taps.length)}
      </p>
      {isLost && !best && (
        <p role="alert">
          {practiceWords.minuteWasLost}{' '}
          <Button
            onClick={() => {
              setTaps([]);
              setNowMs(0);
            }}
          >
            {practiceWords.minuteAgain}
          </Button>
        </p>
      )}
      {isOver && <Gaps question={question} stamps={taps} />}
      {pace && !isLost && (
        <p className={styles['soft']}>
          {practiceWords.meanSpreadDrift(
            pace.meanS.toFixed(2),
            String(Math.round(100 * pace.spread)),
            driftInWords(Math.round(100 * pace.drift)),
          )}
        </p>
      )}
    </div>
  );
}

const driftInWords = (percent: number): string =>
  percent === 0
    ? practiceWords.noDrift
    : percent > 0
      ? practiceWords.slowerAtTheEnd(percent)
      : practiceWords.fasterAtTheEnd(-percent);

/** Each gap as a bar, with the range in which it should lie. */
function Gaps({
  question: { low, high },
  stamps,
}: {
  readonly question: Question;
  readonly stamps: readonly number[];
}) {
  const gaps = stamps.slice(1).map((stamp, i) => (stamp - (stamps[i] ?? 0)) / 1000);
  const most = Math.max(high * 1.5, ...gaps);
  const y = (seconds: number) => 100 - (100 * seconds) / most;
  const step = 400 / Math.max(1, gaps.length);
  return (
    <svg viewBox="0 0 400 100" className={styles['gaps']} role="img" aria-label={practiceWords.gaps}>
      <rect x="0" width="400" y={y(high)} height={y(low) - y(high)} />
      {gaps.map((gap, i) => (
        <line key={i} x1={(i + 0.5) * step} x2={(i + 0.5) * step} y1="100" y2={y(gap)} />
      ))}
    </svg>
  );
}
