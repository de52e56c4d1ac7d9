import type { DrainageCase } from '../../core/drainage/case';
import type { Flow } from '../../core/flow/flow';
import type { TapedExcess } from '../../core/flow/tape-start';
import { flowWords } from './flow.words';
import styles from './OrderCost.module.css';
import type { FlowingStep } from './Replay';
import { useFlows } from './useFlows';

interface Props {
  readonly drainageCase: DrainageCase;
  /** What this visit's tape run found. */
  readonly taped: TapedExcess | null;
  readonly proposed: readonly FlowingStep[];
  /** As it lies now, or would lie if the step were let go here. */
  readonly own: readonly FlowingStep[];
}

const everyS = 60;
/** So long the model runs on when the hands have left. */
const afterS = 900;
const [width, height] = [180, 44];

/** What another order than the proposed one lets out: its line in grey beside the proposed one. */
export function OrderCost({ drainageCase, taped, proposed, own }: Props) {
  const seconds = afterS + Math.max(lengthOf(proposed), lengthOf(own));
  const flows = useFlows({ drainageCase, taped, courses: { proposed, own }, seconds, every: everyS });
  if (flows === undefined || flows === 'unreadable') return null;
  const { proposed: best, own: moved } = flows;
  if (!best || !moved) return null;
  const [bestMl, ownMl] = [endMl(best).toFixed(0), endMl(moved).toFixed(0)];
  const most = Math.max(endMl(best), endMl(moved), 1);
  const lineOf = ({ series }: Flow) =>
    series
      .map(({ second, drainedMl }, i) => {
        const x = (width * second) / seconds;
        return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${(height - 4 - ((height - 8) * drainedMl) / most).toFixed(1)}`;
      })
      .join('');
  return (
    <div className={styles['cost']} role="status">
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
        <path d={lineOf(best)} />
        <path d={lineOf(moved)} data-own="" />
      </svg>
      <p>
        <strong>{bestMl === ownMl ? flowWords.costsNothing(bestMl) : flowWords.thisOrderLetsOut(ownMl, bestMl)}</strong>{' '}
        {flowWords.explains}
      </p>
    </div>
  );
}

const lengthOf = (steps: readonly FlowingStep[]) => steps.reduce((sum, { seconds }) => sum + seconds, 0);
const endMl = ({ series }: Flow) => series.at(-1)?.drainedMl ?? 0;
