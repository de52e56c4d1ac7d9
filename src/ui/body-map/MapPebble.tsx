import type { Figure } from '../../core/figure/figure';
import { pebblePoint, pebbleScale } from '../../core/figure/pebble-place';
import { pebbleOutlines, pebbleTone } from '../pebbles';
import type { PebbleMark } from './map-marks';
import styles from './BodyMap.module.css';

interface Props {
  readonly figure: Figure;
  readonly mark: PebbleMark;
  readonly onPick: ((key: string) => void) | undefined;
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
