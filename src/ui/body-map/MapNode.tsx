import styles from './BodyMap.module.css';
import type { Figure } from '../../core/figure/figure';

/** Offered: a broken ring. Open: a ring. To be cleared: a half-filled ring. Cleared: a ring in a ring. Closed: a crossed ring. */
export type NodeState = 'quiet' | 'offered' | 'open' | 'to clear' | 'cleared' | 'closed';

interface Props {
  readonly node: Figure['nodes'][number];
  readonly state: NodeState | undefined;
  readonly isSelected: boolean;
}

export function MapNode({ node, state = 'quiet', isSelected }: Props) {
  const { x, y } = node;
  const r = state === 'quiet' ? node.r * 0.8 : node.r * 1.35;
  const diagonal = r * 0.7;
  return (
    <g data-node={state} data-far={node.far ? true : undefined}>
      <circle cx={x} cy={y} r={Math.max(r, 9)} className={styles['nodeTouch']} />
      {isSelected && <circle cx={x} cy={y} r={r + 4} className={styles['nodeHalo']} />}
      <circle cx={x} cy={y} r={r} className={styles['nodeRing']} />
      {state === 'to clear' && (
        <path d={`M${x - r} ${y}A${r} ${r} 0 0 0 ${x + r} ${y}Z`} className={styles['nodeHalf']} />
      )}
      {state === 'cleared' && <circle cx={x} cy={y} r={r * 0.55} className={styles['nodeRing']} />}
      {state === 'closed' && (
        <path
          d={`M${x - diagonal} ${y - diagonal}L${x + diagonal} ${y + diagonal}M${x + diagonal} ${y - diagonal}L${x - diagonal} ${y + diagonal}`}
          className={styles['nodeCross']}
        />
      )}
    </g>
  );
}
