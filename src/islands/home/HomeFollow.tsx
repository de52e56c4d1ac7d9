import { useState } from 'react';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import { routeOf } from '../../catalogue/homecare/route';
import { tellHomeStep } from '../../catalogue/homecare/tell';
import type { HomePage } from '../../contracts/home-views';
import { stepsOf } from '../../core/homecare/sheet';
import { beatAt } from '../../core/table/progress';
import { Button } from '../../ui/button/Button';
import { Ring } from '../table/pace';
import { useBeatSound } from '../table/useBeatSound';
import { useWakeLock } from '../table/useWakeLock';
import { asTableStep } from './as-table-step';
import styles from './HomeFollow.module.css';
import { HomeMap } from './HomeMap';
import { HomeStart } from './HomeStart';
import { useHomeRun } from './useHomeRun';
import { useTicks } from './useTicks';
import { capitalise } from '../../core/wording/capitalise';

/** The sheet on a phone: one step at a time with its beat, and a tick at the end. No sign-in: the address is the key. */
export function HomeFollow({ first, token }: { readonly first: HomePage; readonly token: string }) {
  const words = homeWordsOf(first.language);
  const { page, tick, isWaiting, isRefused } = useTicks(token, first);
  const steps = stepsOf(page.sheet);
  const run = useHomeRun(`home-run-${token.slice(0, 12)}`, steps.length);
  const [isSoundOn, setIsSoundOn] = useState(false);
  const [isTicked, setIsTicked] = useState(false);
  const step = steps[run.index];
  const shown = step && asTableStep(step);
  const beat = shown && beatAt(shown, run.stepMs);
  useWakeLock(step !== undefined);
  useBeatSound(
    isSoundOn && !run.isPaused && beat !== undefined && beat.repetition > 0 && !beat.isOver,
    `${run.index} ${beat?.placement} ${beat?.repetition}`,
  );

  if (run.index < 0) return <HomeStart page={page} words={words} onBegin={() => run.goTo(0)} />;
  if (!step || !shown || !beat)
    return (
      <main id="main" className={styles['view']}>
        <h1>{words.page.done}</h1>
        <p>{words.page.doneHow}</p>
        {isTicked ? (
          <p className={styles['ticked']} role="status">
            {isRefused ? words.page.ended : isWaiting ? words.page.tickWaits : words.page.ticked}
          </p>
        ) : page.againFrom === null ? (
          <Button
            look="filled"
            className={styles['large'] ?? ''}
            onClick={() => {
              tick();
              setIsTicked(true);
            }}
          >
            {words.page.tick}
          </Button>
        ) : (
          <p className={styles['ticked']}>{words.page.tooOften(page.mostPerWeek, page.againFrom)}</p>
        )}
        <Button className={styles['large'] ?? ''} onClick={() => run.goTo(-1)}>
          {words.page.back}
        </Button>
      </main>
    );

  const told = tellHomeStep(words, step, routeOf(page.sheet));
  const next = steps[run.index + 1];
  const say = run.isPaused
    ? words.page.paused
    : beat.isOver
      ? words.page.overNext
      : beat.repetition === 0
        ? words.page.find
        : step.count === 'breaths'
          ? beat.phase < 0.5
            ? words.page.breatheIn
            : words.page.breatheOut
          : step.count === 'hold'
            ? words.page.hold
            : '';
  return (
    <main id="main" className={styles['run']} aria-live="polite">
      <header>
        <span>{words.page.step(run.index + 1, steps.length)}</span>
        <progress value={run.index} max={steps.length} aria-label={words.page.all} />
        <button
          type="button"
          className={styles['plain']}
          aria-pressed={isSoundOn}
          onClick={() => setIsSoundOn(!isSoundOn)}
        >
          {isSoundOn ? words.page.sound : words.page.silent}
        </button>
      </header>
      <div className={styles['map']}>
        <HomeMap step={step} label={told.title} />
      </div>
      <h1>{told.title}</h1>
      <p className={styles['how']}>
        {told.brief && <b>{capitalise(told.brief)}. </b>}
        {told.how}
      </p>
      <div className={styles['pace']}>
        <Ring step={shown} beat={beat} isPaused={run.isPaused} />
        <p>
          <strong>{told.count}</strong>
          <br />
          <em>{say}</em>
        </p>
      </div>
      <p className={styles['then']}>
        {words.page.then}: {next ? tellHomeStep(words, next).title : words.page.theEnd}
      </p>
      <nav>
        <Button onClick={() => run.goTo(run.index - 1)}>{words.page.back}</Button>
        <Button onClick={run.pause}>{run.isPaused ? words.page.goOn : words.page.pause}</Button>
        <Button look="filled" onClick={() => run.goTo(run.index + 1)}>
          {words.page.next}
        </Button>
      </nav>
    </main>
  );
}
