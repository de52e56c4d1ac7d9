import { markWords } from '../../core/table/marks';
import { type MarkKind, markKinds, type MarkSide } from '../../core/table/mark-kinds';
import type { CatchUp } from '../../core/table/refit';
import type { Shortcut } from '../../ui/shortcuts/keyboard';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { tableWords } from './table.words';

export const catchUpKeys: Readonly<Record<CatchUp['kind'], string>> = {
  evenly: 'E',
  'leave-out': 'L',
  over: 'O',
  stretch: 'F',
};

const catchUpTells: Readonly<Record<CatchUp['kind'], string>> = {
  evenly: tableWords.timeRunsShortShortenEvenly,
  'leave-out': tableWords.timeRunsShortLeaveOutWhat,
  over: tableWords.timeRunsShortRunOver,
  stretch: tableWords.timeIsLeftUseItFor,
};

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
  /** Holds one side against the other; only where there are two. */
  readonly compare?: (() => void) | undefined;
  /** Only while they are compared: what is seen. */
  readonly compared?: ((side: MarkSide) => void) | undefined;
  readonly takeWay: (way: CatchUp) => void;
  readonly undo: () => void;
  readonly toggleSound: () => void;
  /** How it is said aloud. */
  readonly setSound: () => void;
  readonly toggleClock: () => void;
  /** Only where drops fall straight onto the skin. */
  readonly drop?: ((by: 1 | -1) => void) | undefined;
  /** Why the step is done. */
  readonly toggleWhy: () => void;
  /** Only where another device leads. */
  readonly takeOver?: (() => void) | undefined;
}

/** Every key of the table, foot switch included; keys that are held down and double presses count once. */
export function useTableKeys(acts: TableActs, ways: readonly CatchUp[]): void {
  useShortcuts(tableShortcuts(acts, ways), { isSteady: true });
}

/** What the keys do as the table stands: answers come first, then the side of a mark, then the work itself. */
export function tableShortcuts(acts: TableActs, ways: readonly CatchUp[]): readonly Shortcut[] {
  const work = workShortcuts(acts, ways);
  if (acts.compared) return [...comparedShortcuts(acts.compared, acts.compare), ...work.map(idle)];
  if (acts.again) return [...againShortcuts(acts.again, acts.goBack), ...work.map(idle)];
  return [...(acts.side ? sideShortcuts(acts.side) : []), ...work];
}

/** On the sheet, but without meaning for the moment. */
const idle = ({ keys, words }: Shortcut): Shortcut => ({ keys, ...(words !== undefined && { words }) });

/** Until what is asked again has its answer nothing goes on; the pedals of a foot switch answer it, too. */
const againShortcuts = (answer: (kind: MarkKind) => void, goBack: () => void): readonly Shortcut[] => [
  { keys: [markWords['asked-again'].key, 'PgDn'], act: () => answer('asked-again') },
  { keys: [markWords.declined.key, 'PgUp'], act: () => answer('declined') },
  { keys: ['Backspace'], act: goBack },
];

/** The side by arrow, and by the two pedals of a foot switch while it is asked. */
const sideShortcuts = (answer: (side: MarkSide) => void): readonly Shortcut[] => [
  { keys: ['←', 'PgUp'], act: () => answer('left') },
  { keys: ['→', 'PgDn'], act: () => answer('right') },
  { keys: ['↓'], act: () => answer('both') },
];

/** Both halves are looked at: one key says what is seen, and the work waits for it. */
const comparedShortcuts = (answer: (side: MarkSide) => void, close: TableActs['compare']): readonly Shortcut[] => [
  ...sideShortcuts(answer),
  { keys: ['V'], act: close },
  { keys: ['Esc'], act: close },
];

/** Marks that answer a question: they have no key of their own. */
const answersOnly: ReadonlySet<MarkKind> = new Set(['asked-again', 'declined', 'higher', 'fuller', 'alike']);

function workShortcuts(acts: TableActs, ways: readonly CatchUp[]): readonly Shortcut[] {
  const catchUp = (kind: CatchUp['kind']): Shortcut => {
    const way = ways.find((one) => one.kind === kind);
    return { keys: [catchUpKeys[kind]], words: catchUpTells[kind], act: way && (() => acts.takeWay(way)) };
  };
  const mark = (kind: MarkKind): Shortcut => ({ keys: [markWords[kind].key], act: () => acts.mark(kind) });
  return [
    { keys: ['Space', 'Enter', 'PgDn'], words: tableWords.doneOnToTheNextStep, act: () => acts.goOn('end') },
    { keys: ['PgUp'], words: tableWords.backOneStep, act: acts.goBack },
    { keys: ['P'], words: tableWords.pauseAndGoOn, act: acts.pause },
    { keys: ['S'], words: tableWords.skipThisStep, act: () => acts.goOn('skip') },
    { keys: ['B'], words: tableWords.soundOfTheBeatOnOr, act: acts.toggleSound },
    { keys: ['H'], words: tableWords.howItIsSaid, act: acts.setSound },
    ...(['evenly', 'leave-out', 'over', 'stretch'] as const).map(catchUp),
    { keys: ['U'], words: tableWords.asPlannedAgain, act: acts.undo },
    { keys: ['1', '…', '7'], words: tableWords.markWhatIsFeltOrSaid },
    { keys: ['←', '→', '↓'], words: tableWords.onWhichSideLeftRightBoth },
    { keys: ['X'], words: tableWords.painThisTechniqueGoesOutOf },
    { keys: ['A'], words: tableWords.pressureWasAskedAbout },
    ...markKinds.filter((kind) => !answersOnly.has(kind)).map(mark),
    { keys: ['Y', 'N'], words: tableWords.askedAgainBeforeAPartNothing },
    { keys: ['+'], words: tableWords.stayHereHalfAsLongAgain, act: acts.stay },
    { keys: ['='], act: acts.stay },
    { keys: ['C'], words: tableWords.goOnByTheClockOr, act: acts.toggleClock },
    { keys: ['D'], words: tableWords.aDropHasFallen, act: acts.drop && (() => acts.drop?.(1)) },
    { keys: ['Z'], words: tableWords.oneDropTooMany, act: acts.drop && (() => acts.drop?.(-1)) },
    { keys: ['V'], words: tableWords.lookAtBothSides, act: acts.compare },
    { keys: ['W'], words: tableWords.whyThisStep, act: acts.toggleWhy },
    { keys: ['T'], words: tableWords.takeOverWhereThisDeviceOnly, act: acts.takeOver },
  ];
}
