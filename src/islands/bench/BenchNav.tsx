import { benchWords } from './bench.words';
import type { VisitId } from '../../core/ids';
import styles from './BenchNav.module.css';

const places = [
  ['oils', benchWords.oils],
  ['bottles', benchWords.bottles],
  ['stones', benchWords.stones2],
  ['devices', benchWords.devices],
] as const;

/** Benches that a visit is looked at on. */
const takesVisit = (id: string) => id === 'oils' || id === 'stones';

/** The benches, and the devices that stand on them; a visit that is looked at goes along. */
export function BenchNav({
  here,
  visitId,
}: {
  readonly here: (typeof places)[number][0];
  readonly visitId: VisitId | null;
}) {
  return (
    <nav className={styles['nav']} aria-label={benchWords.benches}>
      {places.map(([id, words]) => (
        <a
          key={id}
          href={visitId !== null && takesVisit(id) ? `/bench/${id}?visit=${visitId}` : `/bench/${id}`}
          aria-current={id === here ? 'page' : undefined}
        >
          {words}
        </a>
      ))}
    </nav>
  );
}
