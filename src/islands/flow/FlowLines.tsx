import { useEffect, useRef } from 'react';
import type { Flow } from '../../core/flow/flow';
import type { Seconds } from '../../core/quantities';
import { formatClock } from '../../core/units';
import { flowWords } from './flow.words';
import styles from './Replay.module.css';
import type { Replay } from './useReplay';

interface Props {
  readonly planned: Flow;
  readonly other: Flow | undefined;
  readonly plannedTitle: string;
  readonly otherTitle: string;
  readonly endS: Seconds;
  readonly replay: Replay;
}

const [width, height, left, top] = [640, 250, 56, 22];

/** What has left to the veins, over time: the plan, and the same case otherwise. */
export function FlowLines({ planned, other, plannedTitle, otherTitle, endS, replay }: Props) {
  const cursor = useRef<SVGLineElement>(null);
  const most = niceMost(Math.max(...[planned, other].map((flow) => flow?.series.at(-1)?.drainedMl ?? 0), 1));
  const x = (second: Seconds) => left + ((width - left - 8) * second) / endS;
  const y = (ml: number) => top + (height - top - 26) * (1 - ml / most);
  const { onFrame } = replay;
  useEffect(
    () =>
      onFrame((second) => {
        const at = String(left + ((width - left - 8) * second) / endS);
        cursor.current?.setAttribute('x1', at);
        cursor.current?.setAttribute('x2', at);
      }),
    [endS, onFrame],
  );
  const lineOf = (flow: Flow) =>
    flow.series
      .map(({ second, drainedMl }, i) => `${i === 0 ? 'M' : 'L'}${x(second).toFixed(1)} ${y(drainedMl).toFixed(1)}`)
      .join('');
  const endOf = (flow: Flow) => y(flow.series.at(-1)?.drainedMl ?? 0);
  const gap = other ? endOf(planned) - endOf(other) : 99;
  return (
    <svg
      className={styles['lines']}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={flowWords.lines(
        plannedTitle,
        (planned.series.at(-1)?.drainedMl ?? 0).toFixed(0),
        (other?.series.at(-1)?.drainedMl ?? 0).toFixed(0),
        otherTitle,
      )}
    >
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line x1={left} x2={width - 8} y1={y(share * most)} y2={y(share * most)} className={styles['grid']} />
          <text x={left - 8} y={y(share * most) + 5} textAnchor="end">
            {flowWords.ml(String(share * most))}
          </text>
        </g>
      ))}
      {[0, 0.5, 1].map((share) => (
        <text
          key={share}
          x={x(share * endS)}
          y={height - 6}
          textAnchor={share === 0 ? 'start' : share === 1 ? 'end' : 'middle'}
        >
          {formatClock(Math.round(share * endS))}
        </text>
      ))}
      {other && <path d={lineOf(other)} className={styles['other']} />}
      <path d={lineOf(planned)} className={styles['planned']} />
      <text x={width - 10} y={endOf(planned) - 8} textAnchor="end" className={styles['plannedName']}>
        {plannedTitle}
      </text>
      {other && (
        <text
          x={width - 10}
          y={endOf(other) + (Math.abs(gap) < 30 ? 20 : -8)}
          textAnchor="end"
          className={styles['otherName']}
        >
          {otherTitle}
        </text>
      )}
      <line ref={cursor} x1={left} x2={left} y1={top - 10} y2={y(0)} className={styles['cursor']} />
    </svg>
  );
}

/** The next round number above: 10, 20, 50, 100 … */
function niceMost(ml: number): number {
  const ten = 10 ** Math.floor(Math.log10(ml));
  return ten * ([1, 1.2, 1.6, 2, 3, 4, 6, 8, 10].find((step) => step * ten >= ml) ?? 10);
}
