import styles from './SteppingStones.module.css';
import { stonesWords } from './stones.words';

export interface Stone {
  readonly name: string;
  readonly href: string;
  readonly state: 'done' | 'here' | 'ahead';
  /** Shown but not to be stepped on yet. */
  readonly isClosed?: boolean;
  /** What is still to be done there, in a few words. */
  readonly missing?: string | undefined;
}

/** Where a visit stands, as stepping stones. */
export function SteppingStones({ stones }: { readonly stones: readonly Stone[] }) {
  return (
    <nav aria-label={stonesWords.theVisitStepByStep} className={styles['stones']}>
      <ol>
        {stones.map((stone) => (
          <li key={stone.name} data-state={stone.state}>
            <a
              href={stone.isClosed ? undefined : stone.href}
              aria-current={stone.state === 'here' ? 'step' : undefined}
              aria-disabled={stone.isClosed ? true : undefined}
            >
              <svg width="30" height="26" viewBox="-15 -13 30 26" aria-hidden="true">
                <path d="M-12 1C-13 -6 -7 -10.5 -0.5 -10.5C7 -10.5 12.5 -6 12.5 0C13 6.5 7 10 1 10C-6.5 10.5 -11.5 7.5 -12 1Z" />
                {stone.state === 'done' && <polyline points="-5,0 -1,4 5,-4" />}
              </svg>
              <span>{stone.name}</span>
              {stone.state === 'done' && <span className="visually-hidden">, done</span>}
              {stone.missing && <small>{stone.missing}</small>}
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}
