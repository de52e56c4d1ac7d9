import { type DrillKind, drillKinds } from '../../core/training/kinds';
import { drillNames } from '../../core/training/names';
import styles from './KindTabs.module.css';
import { practiceWords } from './practice.words';

/** Any kind, as it comes. */
export const anyKind = 'any';
export type KindOrAny = DrillKind | typeof anyKind;

const all: readonly KindOrAny[] = [anyKind, ...drillKinds];
const wordsOf = (kind: KindOrAny) => (kind === anyKind ? practiceWords.asItComes : drillNames[kind]);

interface Props {
  readonly here: KindOrAny;
  readonly onChange: (kind: KindOrAny) => void;
}

/** Kinds of drills as words beside each other; on a phone as one field to choose from. */
export function KindTabs({ here, onChange }: Props) {
  return (
    <>
      <div role="group" aria-label={practiceWords.drills} className={styles['kinds']}>
        {all.map((kind) => (
          <button key={kind} type="button" aria-pressed={kind === here} onClick={() => onChange(kind)}>
            {wordsOf(kind)}
          </button>
        ))}
      </div>
      <select
        className={styles['choice']}
        aria-label={practiceWords.drills}
        value={here}
        onChange={({ target }) => onChange(all.find((kind) => kind === target.value) ?? anyKind)}
      >
        {all.map((kind) => (
          <option key={kind} value={kind}>
            {wordsOf(kind)}
          </option>
        ))}
      </select>
    </>
  );
}
