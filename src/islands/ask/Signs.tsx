import { askWords } from './ask.words';
import type { Decision } from '../../core/screening/tables';
import styles from './Signs.module.css';

const words: Readonly<Record<Decision, string>> = {
  ok: askWords.goAhead,
  modify: askWords.goAheadWithChanges,
  'clear-first': askWords.aWrittenNoteFirst,
  refer: askWords.someoneElse,
  stop: askWords.doNotDo,
};

export const decisionWords = (decision: Decision) => words[decision];

/** A decision as a pebble with a sign of its own, told by outline and sign besides its colour. */
export function DecisionSign({ decision }: { readonly decision: Decision }) {
  return (
    <svg
      viewBox="0 0 32 32"
      className={styles['sign']}
      data-decision={decision}
      role="img"
      aria-label={words[decision]}
    >
      <path d={outlines[decision]} className={styles['pebble']} />
      <path d={marks[decision]} className={styles['mark']} />
    </svg>
  );
}

const outlines: Readonly<Record<Decision, string>> = {
  ok: 'M3 17C3 9 9 4 16 4c8 0 13 5 13 12 0 8-6 12-13 12C8 28 3 24 3 17Z',
  modify: 'M4 14C5 7 11 4 17 4c7 0 12 6 11 13-1 7-7 11-13 11C8 28 3 21 4 14Z',
  'clear-first': 'M4 9c1-3 4-4 7-4h12c3 0 5 2 5 5v13c0 3-2 5-5 5H9c-3 0-5-2-5-5V9Z',
  refer: 'M3 16c3-6 7-10 12-12 6 1 11 6 14 12-3 6-8 10-13 12C11 26 6 21 3 16Z',
  stop: 'M10 4h12l7 7v11l-7 6H10l-7-6V11l7-7Z',
};

const marks: Readonly<Record<Decision, string>> = {
  ok: 'm10 16 4.5 4.5L22.5 12',
  modify: 'M9 18c3-5 6 2 8-1 2-3 3-3 6-3',
  'clear-first': 'M10 11h12M10 16h12M10 21h7',
  refer: 'M10 16h11m-4-4.5 4.5 4.5-4.5 4.5',
  stop: 'm11 11 10 10M21 11 11 21',
};
