import { pebbleOutlines, pebbleTone } from '../pebbles';
import type { PebbleMark } from './BodyMap';
import styles from './BodyMap.module.css';
import { type Figure, pointOf } from './figure';

interface Props {
  readonly figure: Figure;
  readonly mark: PebbleMark;
  readonly onPick: ((key: string) => void) | undefined;
}

/** A step's number riding on its place; beside a node group, so that its ring stays visible. */
export function MapPebble({ figure, mark, onPick }: Props) {
  const at = pointOf(figure, mark.place);
  if (!at) return null;
  const node = figure.nodes.find((n) => n.id === mark.place);
  const unit = figure.viewBox[3] > 800 ? 1 : 1.35;
  const outward = node ? (at[0] < figure.viewBox[2] / 2 ? -1 : 1) * (node.r + 12) : 0;
  const scale = (mark.isSelected ? 0.86 : 0.6) * unit;
  return (
    <g
      className={styles['pebble']}
      data-tone={mark.state === 'fault' ? 'brick' : pebbleTone[mark.kind]}
      data-state={mark.state ?? 'due'}
      transform={`translate(${at[0] + outward} ${at[1]}) scale(${scale})`}
      onClick={onPick ? () => onPick(mark.key) : undefined}
    >
      <path d={pebbleOutlines[mark.kind]} />
      <text textAnchor="middle" y="4.8">
        {mark.number}
      </text>
    </g>
  );
}
