import type { ChangeView } from '../../contracts/change-views';
import { changesWords } from './changes.words';
import styles from './Changes.module.css';
import { figureText } from './figures';
import { NeckFan } from './NeckFan';

type At = ChangeView['visits'][number];

/** What was measured before and after at one visit, and whether it is more than the error of measuring. */
export function ChangesOfVisit({ changes }: { readonly changes: readonly ChangeView[] }) {
  if (changes.length === 0) return null;
  return (
    <section className={styles['changes']} aria-label={changesWords.beforeAndAfter}>
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
      <NeckFan changes={changes} />
    </section>
  );
}

export function figuresText(
  { unit, steps }: Pick<ChangeView, 'unit' | 'steps'>,
  { before, after }: Pick<At, 'before' | 'after'>,
): string {
  const text = (value: number) => figureText(unit, value, steps);
  if (before !== null && after !== null) return changesWords.fromTo(text(before), text(after));
  if (before !== null) return changesWords.onlyBefore(text(before));
  return changesWords.onlyAfter(text(after ?? 0));
}

export function verdictOf({ change, isBeyond, isBetter }: At): string {
  if (change === 0) return changesWords.same;
  if (isBeyond !== true) return changesWords.within;
  if (isBetter === null) return changesWords.beyond;
  return isBetter ? changesWords.better : changesWords.worse;
}
