import styles from './SteppingStones.module.css';

export interface Stone {
  readonly name: string;
  readonly href: string;
  readonly state: 'done' | 'here' | 'ahead';
  /** Shown but not to be stepped on yet. */
  readonly isClosed?: boolean;
}

/** Where a visit stands, as stepping stones. */
export function SteppingStones({ stones }: { readonly stones: readonly Stone[] }) {
  return (
    <nav aria-label="The visit, step by step" className={styles['stones']}>
      <ol>
        {stones.map((stone) => (
          <li key={stone.name} data-state={stone.state}>
            <a href={stone.isClosed ? undefined : stone.href} aria-current={stone.state === 'here' ? 'step' : undefined} aria-disabled={stone.isClosed ? true : undefined}>
              <svg width="30" height="26" viewBox="-15 -13 30 26" aria-hidden="true">
                <path d="M-12 0C-12 -7 -7 -10 0 -10C8 -10 12 -6 12 0C12 7 7 10 0 10C-7 10 -12 7 -12 0Z" />
                {stone.state === 'done' && <polyline points="-5,0 -1,4 5,-4" />}
              </svg>
              <span>{stone.name}</span>
              {stone.state === 'done' && <span className="visually-hidden">, done</span>}
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}
