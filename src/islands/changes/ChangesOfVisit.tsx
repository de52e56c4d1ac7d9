import type { ReactNode } from 'react';
import type { ChangeView } from '../../contracts/change-views';
import { changesWords } from './changes.words';
import styles from './Changes.module.css';
import { figuresText, verdictOf } from '../../core/change/figure-text';
import { NeckFan } from './NeckFan';

/** What was measured before and after at one visit, and whether it is more than the error of measuring. */
export function ChangesOfVisit({ changes }: { readonly changes: readonly ChangeView[] }) {
  if (changes.length === 0) return null;
  const details = changes.filter(({ isDetail }) => isDetail);
  return (
    <section className={styles['changes']} aria-label={changesWords.beforeAndAfter}>
      <Lines changes={changes.filter(({ isDetail }) => !isDetail)} />
      <Details count={details.length}>
        <Lines changes={details} />
      </Details>
      <NeckFan changes={changes} />
    </section>
  );
}

function Lines({ changes }: { readonly changes: readonly ChangeView[] }) {
  return (
    <dl>
      {changes.map(({ key, name, visits: [at], ...figure }) =>
        at ? (
          <div key={key} data-better={at.isBeyond === true && at.isBetter !== null ? at.isBetter : undefined}>
            <dt>{name}</dt>
            <dd>
              <strong>{figuresText(figure, at)}</strong>
              {at.change !== null && <small>{verdictOf(at)}</small>}
            </dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}

/** What is one of many of its kind, folded up; nothing where there is none. */
export function Details({ count, children }: { readonly count: number; readonly children: ReactNode }) {
  if (count === 0) return null;
  return (
    <details className={styles['details']}>
      <summary>{changesWords.pointByPoint(count)}</summary>
      {children}
    </details>
  );
}
