import type { Taught as TaughtOf } from '../../core/table/table-step';
import { taughtWords } from './taught.words';
import { withoutNever } from './without-never';
import styles from './Taught.module.css';

/** What the library teaches of a step: why, what never, and what the hands feel when it has worked. */
export function Taught({ taught }: { readonly taught: TaughtOf | undefined }) {
  if (!taught) return null;
  const { why, never, feel } = taught;
  return (
    <dl className={styles['taught']}>
      {why && <Line name={taughtWords.why} words={why} />}
      {never && <Line name={taughtWords.never} words={withoutNever(never)} tone="never" />}
      {feel && <Line name={taughtWords.feel} words={feel} />}
    </dl>
  );
}

function Line({ name, words, tone }: { readonly name: string; readonly words: string; readonly tone?: 'never' }) {
  return (
    <div data-tone={tone}>
      <dt>{name}</dt>
      <dd>{words}</dd>
    </div>
  );
}
