import type { PlaceId } from '../../core/anatomy/place';
import type { Figure } from '../../core/figure/figure';
import { endOf, leafOutline, routePath } from '../../core/figure/route';
import styles from './BodyMap.module.css';

export type RouteTone = 'moss' | 'river' | 'plum' | 'brick';

interface Props {
  readonly figure: Figure;
  readonly path: readonly PlaceId[];
  readonly tone: RouteTone;
  readonly isActive?: boolean | undefined;
}

/** A way along the figure's own arrows, as far as its places show in this drawing; a leaf at its end. */
export function MapRoute({ figure, path, tone, isActive = false }: Props) {
  const d = routePath(figure, path, isActive);
  if (!d) return null;
  const end = endOf(d);
  return (
    <g className={styles['route']} data-tone={tone} data-active={isActive ? true : undefined}>
      <path d={d} className={styles['routeBed']} />
      <path d={d} className={styles['routeLine']} />
      {end && (
        <path
          d={leafOutline}
          className={styles['leaf']}
          transform={`translate(${end.x} ${end.y}) rotate(${end.angle})`}
        />
      )}
    </g>
  );
}
