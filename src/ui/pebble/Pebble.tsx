import { type PebbleKind, pebbleOutlines, pebbleTone } from '../pebbles';
import styles from './Pebble.module.css';

interface Props {
  readonly kind: PebbleKind;
  readonly number?: number | undefined;
  readonly size?: number;
  readonly pressure?: 'feather' | 'light' | 'medium' | 'firm';
  readonly state?: 'due' | 'done' | 'fault';
}

const edge = { feather: 1.2, light: 2, medium: 2.8, firm: 3.6 } as const;

/** A step as a river pebble: outline by kind, edge by pressure, a second line for node clearing, filled when done. */
export function Pebble({ kind, number, size = 34, pressure = 'feather', state = 'due' }: Props) {
  const tone = state === 'fault' ? 'brick' : pebbleTone[kind];
  return (
    <svg
      className={styles['pebble']}
      data-tone={tone}
      data-state={state}
      width={size}
      height={size * 0.82}
      viewBox="-17 -14 34 28"
      aria-hidden="true"
    >
      <path d={pebbleOutlines[kind]} className={styles['stone']} strokeWidth={edge[pressure]} />
      {(kind === 'clear' || kind === 'close') && (
        <path d={pebbleOutlines[kind]} className={styles['inner']} transform="scale(0.76)" />
      )}
      {number !== undefined && (
        <text className={styles['number']} textAnchor="middle" y="4.6">
          {number}
        </text>
      )}
    </svg>
  );
}
