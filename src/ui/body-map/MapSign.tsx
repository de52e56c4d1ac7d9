import type { PlaceId } from '../../core/anatomy/place';
import styles from './BodyMap.module.css';
import { type Figure, pointOf } from '../../core/figure/figure';

export type SignKind = 'port' | 'scar' | 'wound' | 'thickened' | 'irradiated';

interface Props {
  readonly figure: Figure;
  readonly kind: SignKind;
  readonly place: PlaceId;
  readonly other?: PlaceId | undefined;
}

/** A finding where it lies: a port as a capsule with its distance ring, a scar as a stitched line across the way, a wound as a lozenge. */
export function MapSign({ figure, kind, place, other }: Props) {
  const at = pointOf(figure, place);
  if (!at) return null;
  if (kind === 'scar') {
    const to = other ? pointOf(figure, other) : undefined;
    if (!to) return null;
    const [mx, my] = [(at[0] + to[0]) / 2, (at[1] + to[1]) / 2];
    const length = Math.hypot(to[0] - at[0], to[1] - at[1]) || 1;
    const [ux, uy] = [-(to[1] - at[1]) / length, (to[0] - at[0]) / length];
    const half = Math.min(16, Math.max(9, length * 0.55));
    const stitches = [-0.7, -0.23, 0.23, 0.7].map((t) => [mx + ux * half * t, my + uy * half * t] as const);
    return (
      <g className={styles['sign']} aria-hidden="true">
        <path d={`M${mx - ux * half} ${my - uy * half}L${mx + ux * half} ${my + uy * half}`} />
        {stitches.map(([sx, sy]) => (
          <path key={`${sx} ${sy}`} d={`M${sx - uy * 3.2} ${sy + ux * 3.2}L${sx + uy * 3.2} ${sy - ux * 3.2}`} />
        ))}
      </g>
    );
  }
  const [x, y] = at;
  return (
    <g className={styles['sign']} data-kind={kind} aria-hidden="true">
      {kind === 'port' && (
        <>
          <circle cx={x} cy={y} r="13" className={styles['signRing']} />
          <rect x={x - 4} y={y - 4} width="8" height="8" rx="2.5" />
        </>
      )}
      {kind === 'wound' && <path d={`M${x} ${y - 8}L${x + 6} ${y}L${x} ${y + 8}L${x - 6} ${y}Z`} />}
      {kind === 'thickened' && (
        <path d={`M${x - 6} ${y - 3}q3 -4 6 0t6 0M${x - 6} ${y + 3}q3 -4 6 0t6 0`} className={styles['signWave']} />
      )}
      {kind === 'irradiated' && (
        <path
          d={`M${x} ${y - 7}V${y + 7}M${x - 6} ${y - 3.5}L${x + 6} ${y + 3.5}M${x - 6} ${y + 3.5}L${x + 6} ${y - 3.5}`}
        />
      )}
    </g>
  );
}
