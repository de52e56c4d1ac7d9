import { tableWords } from './table.words';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { markWords } from '../../core/table/marks';
import { type MarkKind, markKinds, type MarkSide } from '../../core/table/mark-kinds';
import type { CatchUp } from '../../core/table/refit';
import type { Shortcut } from '../../ui/shortcuts/Shortcuts';

/** Presses of one key closer than this are one (ms): a foot that trembles presses twice. */
export const bounceMs = 150;

export const catchUpKeys: Readonly<Record<CatchUp['kind'], string>> = {
  evenly: 'E',
  'leave-out': 'L',
  over: 'O',
  stretch: 'F',
};

export const tableShortcuts: readonly Shortcut[] = [
  [['Space', 'Enter', 'PgDn'], tableWords.doneOnToTheNextStep],
  [['PgUp'], tableWords.backOneStep],
  [['P'], tableWords.pauseAndGoOn],
  [['S'], tableWords.skipThisStep],
  [['B'], tableWords.soundOfTheBeatOnOr],
  [['E'], tableWords.timeRunsShortShortenEvenly],
  [['L'], tableWords.timeRunsShortLeaveOutWhat],
  [['O'], tableWords.timeRunsShortRunOver],
  [['F'], tableWords.timeIsLeftUseItFor],
  [['U'], tableWords.asPlannedAgain],
  [['1', '…', '7'], tableWords.markWhatIsFeltOrSaid],
  [['←', '→', '↓'], tableWords.onWhichSideLeftRightBoth],
  [['X'], tableWords.painThisTechniqueGoesOutOf],
  [['A'], tableWords.pressureWasAskedAbout],
  [['Y', 'N'], tableWords.askedAgainBeforeAPartNothing],
  [['+'], tableWords.stayHereHalfAsLongAgain],
  [['C'], tableWords.goOnByTheClockOr],
  [['T'], tableWords.takeOverWhereThisDeviceOnly],
];

export interface TableActs {
  readonly goOn: (leaving: 'end' | 'skip') => void;
  readonly goBack: () => void;
  readonly pause: () => void;
  readonly stay: () => void;
  readonly mark: (kind: MarkKind) => void;
  /** Only while the side of a mark is asked. */
  readonly side?: ((side: MarkSide) => void) | undefined;
  /** Only while something has to be asked again before a part: `Y` nothing against it, `N` something is. */
  readonly again?: ((kind: MarkKind) => void) | undefined;
  readonly takeWay: (way: CatchUp) => void;
  readonly undo: () => void;
  readonly toggleSound: () => void;
  readonly toggleClock: () => void;
  /** Only where another device leads. */
  readonly takeOver?: (() => void) | undefined;
}

/** Every key of the table, foot switch included; keys that are held down and double presses count once. */
export function useTableKeys(acts: TableActs, ways: readonly CatchUp[]): void {
  const latest = useRef({ acts, ways });
  // With the words on the screen, not a moment after them: a key pressed at once must mean what is shown.
  useLayoutEffect(() => {
    latest.current = { acts, ways };
  });
  useEffect(() => {
    let last = { key: '', at: -Infinity };
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.querySelector('[role="dialog"]')) return;
      const act = actOf(event.key, latest.current.acts, latest.current.ways);
      const isOnControl = /^(BUTTON|A)$/.test(target.tagName) && target.matches(':focus-visible');
      if (!act || (isOnControl && (event.key === ' ' || event.key === 'Enter'))) return;
      event.preventDefault();
      if (event.repeat) return;
      const isBounce = last.key === event.key && event.timeStamp - last.at < bounceMs;
      if (isBounce) return;
      last = { key: event.key, at: event.timeStamp };
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

/** Marks that are made only where something is asked again. */
const answersOnly: ReadonlySet<MarkKind> = new Set(['asked-again', 'declined']);

/** Until what is asked again has its answer nothing goes on; the pedals of a foot switch answer it, too. */
function againAct(letter: string, answer: (kind: MarkKind) => void, goBack: () => void): (() => void) | undefined {
  if (letter === markWords['asked-again'].key || letter === 'PAGEDOWN') return () => answer('asked-again');
  if (letter === markWords.declined.key || letter === 'PAGEUP') return () => answer('declined');
  return letter === 'BACKSPACE' ? goBack : undefined;
}

/** The side by arrow, and by the two pedals of a foot switch while it is asked. */
const sideKeys: Readonly<Record<string, MarkSide>> = {
  ARROWLEFT: 'left',
  ARROWRIGHT: 'right',
  ARROWDOWN: 'both',
  PAGEUP: 'left',
  PAGEDOWN: 'right',
};

function actOf(key: string, acts: TableActs, ways: readonly CatchUp[]): (() => void) | undefined {
  const letter = key.toUpperCase();
  if (acts.again) return againAct(letter, acts.again, acts.goBack);
  const side = acts.side && sideKeys[letter];
  if (side) return () => acts.side?.(side);
  const way = ways.find(({ kind }) => catchUpKeys[kind] === letter);
  if (way) return () => acts.takeWay(way);
  const marked = markKinds.find((kind) => markWords[kind].key === letter && !answersOnly.has(kind));
  if (marked) return () => acts.mark(marked);
  switch (letter) {
    case ' ':
    case 'ENTER':
    case 'PAGEDOWN':
      return () => acts.goOn('end');
    case 'S':
      return () => acts.goOn('skip');
    case 'PAGEUP':
      return acts.goBack;
    case 'P':
      return acts.pause;
    case '+':
    case '=':
      return acts.stay;
    case 'U':
      return acts.undo;
    case 'B':
      return acts.toggleSound;
    case 'C':
      return acts.toggleClock;
    case 'T':
      return acts.takeOver;
    default:
      return undefined;
  }
}
