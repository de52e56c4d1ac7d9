import styles from './ShareBar.module.css';

const widest = 1.15;

/** How much of a limit is used: a mark stands at the limit, and what is over it goes beyond the mark. */
export function ShareBar({ share, label }: { readonly share: number; readonly label: string }) {
  const state = share > 1 + 1e-9 ? 'over' : share >= 0.8 - 1e-9 ? 'near' : 'ok';
  return (
    <span className={styles['bar']} data-state={state} role="img" aria-label={label}>
      <i style={{ width: `${(100 * Math.min(share, widest)) / widest}%` }} />
      <b style={{ left: `${100 / widest}%` }} />
    </span>
  );
}
