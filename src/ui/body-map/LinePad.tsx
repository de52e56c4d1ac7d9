import { type PointerEvent, useRef, useState } from 'react';
import { nameOf } from '../../core/anatomy/place';
import { evenPoints, lengthOf, type Point } from '../../core/facial/line';
import type { Figure } from '../../core/figure/figure';
import styles from './MapLines.module.css';

interface Props {
  readonly figure: Figure;
  /** A line as it was drawn, and the names of the regions that it runs over. */
  readonly onDrawn: (points: readonly Point[], regions: readonly string[]) => void;
}

const shortest = 12;
const betweenPoints = 14;
const looks = 9;

/** Takes a line drawn by pen, finger or mouse on a drawing of the body. */
export function LinePad({ figure, onDrawn }: Props) {
  const [points, setPoints] = useState<readonly Point[]>([]);
  const pad = useRef<SVGRectElement>(null);
  const [x, y, width, height] = figure.viewBox;
  const pointOf = (event: PointerEvent): Point | undefined => {
    const matrix = pad.current?.getScreenCTM()?.inverse();
    if (!matrix) return undefined;
    const { x: px, y: py } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    const within = (value: number, low: number, span: number) => Math.min(Math.max(value, low), low + span);
    return [round(within(px, x, width)), round(within(py, y, height))];
  };
  const finish = () => {
    const length = lengthOf(points);
    if (length >= shortest) {
      const even = evenPoints(points, Math.max(2, Math.round(length / betweenPoints) + 1));
      const drawn = even.map(([px, py]): Point => [round(px), round(py)]);
      onDrawn(drawn, regionsUnder(figure, drawn));
    }
    setPoints([]);
  };
  return (
    <>
      <rect
        ref={pad}
        x={x}
        y={y}
        width={width}
        height={height}
        className={styles['pad']}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          const at = pointOf(event);
          setPoints(at ? [at] : []);
        }}
        onPointerMove={(event) => {
          const at = pointOf(event);
          if (points.length > 0 && at) setPoints([...points, at]);
        }}
        onPointerUp={finish}
        onPointerCancel={() => setPoints([])}
      />
      {points.length > 1 && (
        <polyline className={styles['drawn']} points={points.map((one) => one.join(',')).join(' ')} />
      )}
    </>
  );
}

const round = (value: number) => Math.round(value * 10) / 10;

/** Names of the regions under a line, looked up at even distances; nothing where it runs beside the body. */
function regionsUnder(figure: Figure, points: readonly Point[]): readonly string[] {
  const context = document.createElement('canvas').getContext('2d');
  if (!context) return [];
  const shapes = figure.regions.map(({ id, d }) => ({ id, path: new Path2D(d) }));
  return evenPoints(points, looks).flatMap(([px, py]) => {
    const region = shapes.find(({ path }) => context.isPointInPath(path, px, py));
    return region ? [nameOf(region.id)] : [];
  });
}
