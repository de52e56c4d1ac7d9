import type { FaceLine, Point } from '../../core/facial/line';
import { strokesOf } from '../../core/facial/strokes';
import { type Figure, pointOf } from '../../core/figure/figure';
import styles from './MapLines.module.css';

interface Props {
  readonly figure: Figure;
  readonly lines: readonly FaceLine[];
  /** Ids of those whose strokes are shown; the others are drawn thin. */
  readonly worked?: ReadonlySet<string> | undefined;
  readonly selected?: string | undefined;
}

/** The client's lines on a drawing of the face, with the strokes across and along those that are worked. */
export function MapLines({ figure, lines, worked, selected }: Props) {
  const side = figure.nodes.some(({ id }) => id.endsWith('.right')) ? 'right' : 'left';
  const at = (id: string): Point | undefined => pointOf(figure, id);
  const shown = lines.filter(
    ({ drawing, profile }) => drawing === figure.view && (drawing === 'face-front' || profile === side),
  );
  return (
    <g className={styles['lines']}>
      {shown.map((line) => {
        const isWorked = worked?.has(line.id) ?? false;
        const strokes = isWorked ? strokesOf(line, at) : undefined;
        return (
          <g key={line.id} data-selected={line.id === selected || undefined} data-worked={isWorked || undefined}>
            {strokes?.smoothing.map(({ drain, points }) => (
              <g key={drain} className={styles['smooth']}>
                <path d={curve(points)} />
                <Tip points={points} />
              </g>
            ))}
            <path d={curve(line.points)} className={styles['line']} />
            {strokes?.across.map((stroke, i) => (
              <g key={i} className={styles['across']}>
                <path d={straight(stroke)} />
                <Tip points={stroke} />
              </g>
            ))}
          </g>
        );
      })}
    </g>
  );
}

/** A small leaf at the end of a stroke, pointing the way that it goes. */
function Tip({ points }: { readonly points: readonly Point[] }) {
  const [from, to] = [points.at(-2), points.at(-1)];
  if (!from || !to) return null;
  const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  return (
    <path
      className={styles['tip']}
      d="M-5 -3.6C-1 -3 3 -1.4 6 0C3 1.4 -1 3 -5 3.6C-3.6 1.4 -3.6 -1.4 -5 -3.6Z"
      transform={`translate(${to[0]} ${to[1]}) rotate(${angle})`}
    />
  );
}

const straight = (points: readonly Point[]) => `M${points.map(([x, y]) => `${x} ${y}`).join('L')}`;

/** Through the middles of its parts, bent at its points: a hand's line, not a ruler's. */
function curve(points: readonly Point[]): string {
  if (points.length < 3) return straight(points);
  const [first = [0, 0]] = points;
  const last = points.at(-1) ?? first;
  const middles = points.slice(1, -1).map((point, i) => {
    const next = points[i + 2] ?? last;
    const isLast = i === points.length - 3;
    const end: Point = isLast ? last : [(point[0] + next[0]) / 2, (point[1] + next[1]) / 2];
    return `Q${point[0]} ${point[1]} ${end[0]} ${end[1]}`;
  });
  return `M${first[0]} ${first[1]}${middles.join('')}`;
}
