import styles from './BenchNav.module.css';

const places = [
  ['oils', 'Oils'],
  ['bottles', 'Bottles'],
  ['stones', 'Stones'],
] as const;

/** The three benches; a visit that is looked at goes along. */
export function BenchNav({
  here,
  visitId,
}: {
  readonly here: (typeof places)[number][0];
  readonly visitId: number | null;
}) {
  return (
    <nav className={styles['nav']} aria-label="Benches">
      {places.map(([id, words]) => (
        <a
          key={id}
          href={visitId === null || id === 'bottles' ? `/bench/${id}` : `/bench/${id}?visit=${visitId}`}
          aria-current={id === here ? 'page' : undefined}
        >
          {words}
        </a>
      ))}
    </nav>
  );
}
