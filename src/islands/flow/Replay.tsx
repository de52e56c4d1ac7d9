import { type ReactNode, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import type { DrainageCase } from '../../core/drainage/case';
import { stepTitle } from '../../core/drainage/step-words';
import { type OtherwiseId, otherwise, otherwiseOf } from '../../core/flow/otherwise';
import type { Seconds } from '../../core/quantities';
import type { Step } from '../../core/drainage/step';
import { standingFlow, startOf } from '../../core/flow/standing';
import { startFromTape, type TapedExcess } from '../../core/flow/tape-start';
import { formatClock } from '../../core/units';
import { bestDrawing } from '../../ui/body-map/views';
import type { NodeState } from '../../ui/body-map/MapNode';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { useCover, useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { FlowBody } from './FlowBody';
import { FlowLines } from './FlowLines';
import { flowWords } from './flow.words';
import styles from './Replay.module.css';
import { useFlows, warmFlow } from './useFlows';
import { useReplay } from './useReplay';

export { warmFlow };

/** What is followed of a step, and what names it. */
export type FlowingStep = Pick<
  Step,
  'id' | 'kind' | 'place' | 'toward' | 'via' | 'repetitions' | 'placements' | 'seconds'
>;

interface Props {
  readonly name: string;
  readonly drainageCase: DrainageCase;
  readonly steps: readonly FlowingStep[];
  /** What this visit's tape run found; null: nothing was taped, or there is no other side. */
  readonly taped: TapedExcess | null;
  /** As it was proposed, where it was changed by hand. */
  readonly proposed: readonly FlowingStep[] | undefined;
  readonly nodes: ReadonlyMap<PlaceId, NodeState>;
  /** Begins where this step does. */
  readonly selected: string | undefined;
  readonly onClose: () => void;
}

type Other = OtherwiseId | 'proposed' | 'none';

const titles: Readonly<Record<Exclude<Other, 'none'>, string>> = {
  proposed: flowWords.asProposed,
  'far-first': flowWords.farFirst,
  'not-prepared': flowWords.notPrepared,
  'not-carried': flowWords.notCarried,
  'opened-last': flowWords.openedLast,
  'nothing-opened': flowWords.nothingOpened,
};
const whys: Readonly<Record<Exclude<Other, 'none'>, string>> = {
  proposed: flowWords.asProposedWhy,
  'far-first': flowWords.farFirstWhy,
  'not-prepared': flowWords.notPreparedWhy,
  'not-carried': flowWords.notCarriedWhy,
  'opened-last': flowWords.openedLastWhy,
  'nothing-opened': flowWords.nothingOpenedWhy,
};

/** So long the model runs on when the hands have left. */
const afterS = 900;
const everyS = 10;
const stillCount = 10;

const isStill = () => window.matchMedia('(prefers-reduced-motion: reduce)').matches;
const watchMotion = (onChange: () => void) => {
  const query = window.matchMedia('(prefers-reduced-motion: reduce)');
  query.addEventListener('change', onChange);
  return () => query.removeEventListener('change', onChange);
};

/** The plan as fluid would follow it, and the same case otherwise beside it. */
export function Replay({ name, drainageCase, steps, taped, proposed, nodes, selected, onClose }: Props) {
  const offered: readonly Other[] = [...(proposed ? ['proposed' as const] : []), ...otherwiseOf(steps), 'none'];
  const [other, setOther] = useState<Other>(offered[0] ?? 'none');
  const starts = useMemo(() => startsOf(steps), [steps]);
  const endS = (starts.at(-1) ?? 0) + afterS;
  const replay = useReplay(endS);
  const isReduced = useSyncExternalStore(watchMotion, isStill, () => false);
  const others = useMemo(
    () => ({
      ...(proposed ? { proposed } : {}),
      ...Object.fromEntries(otherwiseOf(steps).map((id) => [id, otherwise(steps, id)])),
    }),
    [proposed, steps],
  );
  const asked = { drainageCase, taped, seconds: endS, every: everyS };
  // The plan comes first and is drawn at once; what it is compared with follows.
  const own = useFlows({ ...asked, courses: { planned: steps } });
  const besides = useFlows(own === undefined ? undefined : { ...asked, courses: others });
  const host = useRef<HTMLDialogElement>(null);
  useCover(true);
  useEffect(() => {
    host.current?.showModal();
    // The keys of the replay are its own: none of its buttons has the space bar before somebody goes there.
    host.current?.focus();
  }, []);
  const next = () => setOther((now) => offered[(offered.indexOf(now) + 1) % offered.length] ?? 'none');
  useShortcuts(
    [
      { keys: ['Space'], words: flowWords.playOrPause, act: replay.toggle },
      { keys: ['←', '→'], words: flowWords.tenBackOn },
      { keys: ['←'], act: () => replay.jump(replay.second - everyS) },
      { keys: ['→'], act: () => replay.jump(replay.second + everyS) },
      { keys: ['S'], words: flowWords.speedKey, act: replay.nextSpeed },
      { keys: ['O'], words: flowWords.otherKey, act: next },
      { keys: ['F'], words: flowWords.back, act: onClose },
    ],
    { isOnTop: true },
  );
  const dialog = (children: ReactNode) => (
    <dialog
      ref={host}
      tabIndex={-1}
      className={styles['replay']}
      aria-label={flowWords.flowOfThisPlan}
      onClose={onClose}
    >
      {children}
    </dialog>
  );
  // The plan stands still behind an open replay: what lies where at the beginning is worked out once.
  const [standing] = useState(() => {
    const start = startOf(anatomy, drainageCase, taped);
    return start && standingFlow(start);
  });
  if (own === 'unreadable' || !standing)
    return dialog(
      <div className={styles['waiting']}>
        <p role="status">{flowWords.unreadable}</p>
        <Button onClick={onClose}>{flowWords.back}</Button>
      </div>,
    );
  // What lies where is drawn at once; what becomes of it follows.
  const planned = own?.['planned'] ?? standing;
  const flows = besides === undefined || besides === 'unreadable' ? {} : besides;
  const beside = other === 'none' ? undefined : flows[other];
  const drawing = bestDrawing(drainPlaces(steps));
  const at = stepAt(starts, replay.second);
  const bead = steps[at];
  const shared = { drawing, nodes };
  const ownTitle = proposed ? flowWords.asItStands : flowWords.asPlanned;
  return dialog(
    <>
      <header className={styles['head']}>
        <h2>
          {name} <small>{flowWords.flowOfThisPlan}</small>
        </h2>
        <p>
          {flowWords.explains} {beginsWith(planned.startMl, taped)}
        </p>
      </header>
      <div className={styles['columns']} aria-busy={own === undefined}>
        {isReduced ? (
          <div className={styles['stills']} role="group" aria-label={flowWords.stills}>
            {Array.from({ length: stillCount }, (_, i) => Math.round(((i + 1) * endS) / stillCount)).map((second) => (
              <FlowBody key={second} {...shared} title={formatClock(second)} flow={planned} second={second} />
            ))}
          </div>
        ) : (
          <div className={styles['bodies']} data-beside={beside ? true : undefined}>
            <FlowBody {...shared} title={ownTitle} flow={planned} replay={replay} second={replay.second} />
            {beside && other !== 'none' && (
              <FlowBody {...shared} title={titles[other]} flow={beside} replay={replay} second={replay.second} />
            )}
          </div>
        )}
        <div className={styles['main']}>
          <h3 role="status">
            {own === undefined ? flowWords.following : sentenceOf(endMl(planned), beside && endMl(beside))}
          </h3>
          {other !== 'none' && <p>{whys[other]}</p>}
          <FlowLines
            planned={planned}
            other={beside}
            plannedTitle={ownTitle}
            otherTitle={other === 'none' ? '' : titles[other]}
            endS={endS}
            replay={replay}
          />
          <div role="group" aria-label={flowWords.besideIt} className={styles['others']}>
            {offered.map((id) => {
              const flow = id === 'none' ? undefined : flows[id];
              return (
                <button
                  key={id}
                  type="button"
                  aria-pressed={id === other}
                  aria-label={flowWords.anotherOrder(id === 'none' ? flowWords.nothingBeside : titles[id])}
                  onClick={() => setOther(id)}
                >
                  <strong>{flow ? flowWords.ml(endMl(flow).toFixed(0)) : '–'}</strong>
                  {id === 'none' ? flowWords.nothingBeside : titles[id]}
                </button>
              );
            })}
          </div>
        </div>
      </div>
      <footer className={styles['foot']}>
        <input
          type="range"
          min={0}
          max={endS}
          step={everyS}
          value={Math.round(replay.second)}
          aria-label={flowWords.moment}
          aria-valuetext={formatClock(Math.round(replay.second))}
          onChange={(event) => replay.jump(Number(event.target.value))}
        />
        <div>
          <Button look="filled" onClick={replay.toggle}>
            <Kbd>{flowWords.space}</Kbd>{' '}
            {replay.isPlaying ? flowWords.pause : replay.second >= endS ? flowWords.fromTheBeginning : flowWords.play}
          </Button>
          <Button onClick={replay.nextSpeed} aria-label={flowWords.speed(replay.speed)}>
            {flowWords.times(replay.speed)}
          </Button>
          <p>
            {bead
              ? flowWords.stepAt(at + 1, stepTitle(anatomy, bead), clock(replay.second), clock(endS))
              : flowWords.after(clock(replay.second), clock(endS))}
          </p>
          {selected !== undefined && (
            <Button look="link" onClick={() => replay.jump(starts[steps.findIndex(({ id }) => id === selected)] ?? 0)}>
              {flowWords.toTheChosenStep}
            </Button>
          )}
          <Button onClick={onClose}>
            <Kbd>F</Kbd> {flowWords.back}
          </Button>
        </div>
      </footer>
    </>,
  );
}

const clock = (second: Seconds) => formatClock(Math.round(second));
const endMl = ({ series }: { readonly series: readonly { readonly drainedMl: number }[] }) =>
  series.at(-1)?.drainedMl ?? 0;
const drainPlaces = (steps: readonly FlowingStep[]) =>
  steps.filter(({ kind }) => kind === 'drain').map(({ place }) => place);

/** The second at which each step begins, and the one at which the last one ends. */
function startsOf(steps: readonly FlowingStep[]): readonly Seconds[] {
  return steps.reduce<Seconds[]>((all, { seconds }) => [...all, (all.at(-1) ?? 0) + seconds], [0]);
}

/** Index of the step that runs; beyond the last one when the hands have left. */
function stepAt(starts: readonly Seconds[], second: Seconds): number {
  const next = starts.findIndex((start) => start > second);
  return next < 0 ? starts.length : next - 1;
}

function sentenceOf(plannedMl: number, otherMl: number | undefined): string {
  const planned = plannedMl.toFixed(0);
  if (otherMl === undefined) return flowWords.letOut(planned);
  const other = otherMl.toFixed(0);
  if (plannedMl > 2 * otherMl && plannedMl >= 1) return flowWords.moreThanTwice;
  if (planned === other) return flowWords.same;
  return plannedMl > otherMl ? flowWords.letsOut(planned, other) : flowWords.otherMore(planned, other);
}

/** Where the fluid at the beginning comes from. */
const beginsWith = (startMl: number, taped: TapedExcess | null): string =>
  taped && startFromTape(anatomy, taped) ? flowWords.beginsWithTheTape(startMl.toFixed(0)) : flowWords.beginsAsUsual;
