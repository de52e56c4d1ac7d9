import type { Seconds } from '../../core/quantities';
import { pebbleTone, type PebbleKind } from '../pebbles';
import { formatClock } from '../../core/units';
import styles from './TimeRibbon.module.css';
import { timeRibbonWords } from './time-ribbon.words';

export interface Bead {
  readonly id: string;
  readonly kind: PebbleKind;
  readonly seconds: Seconds;
  readonly title: string;
  readonly phase: string;
  readonly state?: 'due' | 'done' | 'skipped' | 'here' | 'fault';
}

interface Props {
  readonly beads: readonly Bead[];
  readonly budgetSeconds: Seconds;
  readonly selected?: string | undefined;
  readonly onSelect?: ((id: string) => void) | undefined;
}

/** Steps as beads whose width is their time, the phases as bands below, the total at the right. */
export function TimeRibbon({ beads, budgetSeconds, selected, onSelect }: Props) {
  const total = beads.reduce((sum, bead) => sum + bead.seconds, 0);
  const bands = beads.reduce<{ phase: string; seconds: Seconds }[]>((all, bead) => {
    const last = all.at(-1);
    if (last?.phase === bead.phase) last.seconds += bead.seconds;
    else all.push({ phase: bead.phase, seconds: bead.seconds });
    return all;
  }, []);
  const spare = Math.max(0, budgetSeconds - total);
  return (
    <div className={styles['ribbon']} aria-label={timeRibbonWords.timeRibbon} role="group">
      <span className={styles['name']}>Steps</span>
      <div className={styles['beads']} aria-hidden="true">
        {beads.map((bead) => (
          <i
            key={bead.id}
            title={`${bead.title}, ${formatClock(bead.seconds)}`}
            data-tone={bead.state === 'fault' ? 'brick' : pebbleTone[bead.kind]}
            data-kind={bead.kind}
            data-state={bead.state ?? 'due'}
            data-selected={bead.id === selected ? true : undefined}
            style={{ flexGrow: bead.seconds }}
            onClick={onSelect ? () => onSelect(bead.id) : undefined}
          />
        ))}
        {spare > 0 && (
          <i
            className={styles['spare']}
            style={{ flexGrow: spare }}
            title={timeRibbonWords.toSpare(formatClock(spare))}
          />
        )}
      </div>
      <strong className={styles['total']} data-over={total > budgetSeconds ? true : undefined}>
        {formatClock(total)} / {formatClock(budgetSeconds)}
      </strong>
      <span className={styles['name']}>Phases</span>
      <div className={styles['bands']}>
        {bands.map((band, i) => (
          <span key={`${band.phase} ${i}`} style={{ flexGrow: band.seconds }}>
            {band.seconds / Math.max(total, budgetSeconds) > 0.075 ? band.phase : ''}
          </span>
        ))}
        {spare > 0 && (
          <span className={styles['free']} style={{ flexGrow: spare }}>
            {spare / budgetSeconds > 0.08 ? timeRibbonWords.toSpare2 : ''}
          </span>
        )}
      </div>
      <span className={styles['steps']}>{beads.length} steps</span>
    </div>
  );
}
