import type { PlaceId } from '../../core/anatomy/place';
import { pebbleOutlines, pebbleTone } from '../pebbles';
import type { PebbleMark } from './BodyMap';
import styles from './BodyMap.module.css';
import { type Figure, type Point, pointOf } from './figure';

interface Props {
  readonly figure: Figure;
  readonly mark: PebbleMark;
  readonly onPick: ((key: string) => void) | undefined;
}

/** Pebbles are as large on every drawing as they are on the body. */
export function pebbleScale(figure: Figure): number {
  return figure.viewBox[3] > 800 ? 0.86 : 1.1;
}

/** Where a number rides: on its region, or beside a node group, so that its ring stays visible. */
export function pebblePoint(figure: Figure, place: PlaceId): Point | undefined {
  const at = pointOf(figure, place);
  const node = figure.nodes.find((n) => n.id === place);
  if (!at || !node) return at;
  const outward = (at[0] < figure.viewBox[2] / 2 ? -1 : 1) * (node.r + 13 * pebbleScale(figure));
  return [at[0] + outward, at[1]];
}

/** A step's number riding on its place. */
export function MapPebble({ figure, mark, onPick }: Props) {
  const at = pebblePoint(figure, mark.place);
  if (!at) return null;
  const scale = pebbleScale(figure) * (mark.isSelected ? 1.25 : 1);
  return (
    <g
      className={styles['pebble']}
      data-tone={mark.state === 'fault' ? 'brick' : pebbleTone[mark.kind]}
      data-state={mark.state ?? 'due'}
      transform={`translate(${at[0]} ${at[1]}) scale(${scale})`}
      onClick={onPick ? () => onPick(mark.key) : undefined}
    >
      <path d={pebbleOutlines[mark.kind]} />
      <text textAnchor="middle" y="4.8">
        {mark.number}
      </text>
    </g>
  );
}
