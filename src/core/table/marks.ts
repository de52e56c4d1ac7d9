import type { Seconds } from '../quantities';
import type { MarkKind, MarkSide } from './mark-kinds';
import { nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { TableChange, TableEvent } from './table-event';
import type { TableStep } from './table-step';
import { tableSays } from './table.says';

export interface MarkWords {
  readonly key: string;
  /** On the key at the table. */
  readonly name: string;
  /** For the record, with “at” and a place behind it. */
  readonly note: string;
}

export const markWords: Readonly<Record<MarkKind, MarkWords>> = {
  tighter: { key: '1', name: tableSays.tighterHere, note: 'Tighter' },
  redness: { key: '2', name: 'redness', note: 'Redness' },
  tender: { key: '3', name: 'tender', note: 'Tender' },
  warmer: { key: '4', name: 'warmer', note: tableSays.warmToTheHand },
  cooler: { key: '5', name: 'cooler', note: tableSays.coolToTheHand },
  lighter: { key: '6', name: 'lighter', note: tableSays.askedForALighterHand },
  deeper: { key: '7', name: 'deeper', note: tableSays.askedForADeeperHand },
  pain: { key: 'X', name: tableSays.painStopThis, note: tableSays.painSoThisWasStopped },
  asked: { key: 'A', name: 'asked', note: tableSays.pressureWasAskedAboutAndIs },
  'asked-again': { key: 'Y', name: tableSays.askedAgainNothing, note: tableSays.askedAgainBeforeItAndNothing },
  declined: { key: 'N', name: tableSays.askedAgainNotToday, note: tableSays.askedAgainBeforeItAndLeft },
  // Said of two sides that are looked at, never by a key of their own.
  higher: { key: '', name: tableSays.whichIsHigher, note: tableSays.higherCompared },
  fuller: { key: '', name: tableSays.whichIsFuller, note: tableSays.fullerCompared },
  alike: { key: '', name: 'alike', note: tableSays.alikeCompared },
};

/** Something that was marked: what, in which step, when, and on which side; null: the side was not said. */
export interface Mark {
  readonly kind: MarkKind;
  readonly stepId: string;
  readonly at: string;
  readonly side: MarkSide | null;
}

/**
 * Marks in the order in which they were made. The same one twice in a step counts once; what is said of its side after
 * the press belongs to it, and both sides one after the other are both. Of two sides that were compared the last look counts.
 */
export function marksOf(events: readonly TableEvent[]): readonly Mark[] {
  const marks = new Map<string, Mark>();
  for (const { kind, mark, stepId, at, side = null } of events) {
    if (kind !== 'mark' || mark === undefined || stepId === null) continue;
    const isCompared = comparedKinds.has(mark);
    const key = `${isCompared ? 'compared' : mark} ${stepId}`;
    const known = isCompared ? undefined : marks.get(key);
    marks.set(key, known ? { ...known, side: joined(known.side, side) } : { kind: mark, stepId, at, side });
  }
  return [...marks.values()];
}

const comparedKinds: ReadonlySet<MarkKind> = new Set(['higher', 'fuller', 'alike']);

const joined = (a: MarkSide | null, b: MarkSide | null): MarkSide | null =>
  a === null || b === null || a === b ? (a ?? b) : 'both';

/** The side that a step is on by itself; null where it is on both, and has to be asked. */
function sideOfStep({ told, place }: Pick<TableStep, 'told' | 'place'>): 'left' | 'right' | 'mid' | null {
  const sides = new Set((told?.places ?? [place]).map(sideOf));
  sides.delete('mid');
  const [only] = sides;
  return sides.size === 0 ? 'mid' : sides.size === 1 ? (only ?? null) : null;
}

/** Marks that ask for the side: pain stops the work at once, and a question about pressure has none. */
export const asksForSide = (kind: MarkKind, step: Pick<TableStep, 'told' | 'place'>): boolean =>
  !hasNoSide.has(kind) && sideOfStep(step) === null;

const hasNoSide: ReadonlySet<MarkKind> = new Set(['pain', 'asked', 'asked-again', 'declined']);

/** Where a mark was made, in words: the side that was said, and what is open said to be so. */
export function markedPlace(
  { side }: Pick<Mark, 'side'>,
  step: Pick<TableStep, 'told' | 'place'>,
  labels: { readonly place: (id: PlaceId) => string; readonly region: (name: string) => string },
): string {
  const places = step.told?.places ?? [step.place];
  const [first = step.place] = places;
  // A side that was said rules: what is compared may lie opposite the work.
  if (side === null && sideOfStep(step) !== null) return labels.place(first);
  const region = labels.region(nameOf(first));
  if (side === null) return tableSays.sideNotSaid(region);
  return side === 'both' ? tableSays.bothSides(region) : `${side} ${region}`;
}

/** Steps do the same when the library calls them alike, or when drainage does the same to the same place. */
function isSameTechnique(a: TableStep, b: TableStep): boolean {
  if (a.told || b.told) {
    // Plans of before techniques were named are known by what they are called.
    const [one, other] = [a.told?.technique ?? a.told?.title, b.told?.technique ?? b.told?.title];
    return one !== undefined && one === other;
  }
  return a.kind === b.kind && a.place === b.place;
}

/**
 * What changes after a mark of pain: the technique goes out of all that is still to come, whatever it opens; the
 * therapist decides what comes instead.
 * @param steps as they stand, with the one at hand at `index`
 * @returns the change, and the steps that it takes out
 */
export function withoutTechnique(
  steps: readonly TableStep[],
  index: number,
  change: TableChange,
): { readonly change: TableChange; readonly out: readonly TableStep[] } {
  const here = steps[index];
  const out = here ? steps.slice(index + 1).filter((step) => isSameTechnique(step, here)) : [];
  const leftOut = [...new Set([...change.leftOut, ...out.map(({ id }) => id)])];
  return { change: { ...change, leftOut }, out };
}

/** What is asked again before a step, as long as nobody has answered it. */
export const askedBefore = (step: TableStep | undefined, marks: readonly Mark[]): readonly string[] =>
  step?.asksAgain && !marks.some(({ kind, stepId }) => stepId === step.id && answersToAsking.has(kind))
    ? step.asksAgain
    : [];

const answersToAsking: ReadonlySet<MarkKind> = new Set(['asked-again', 'declined']);

/** What changes when what was asked again speaks against it: this work goes out, up to where other work begins. */
export function withoutWork(
  steps: readonly TableStep[],
  index: number,
  change: TableChange,
): { readonly change: TableChange; readonly out: readonly TableStep[] } {
  const modality = steps[index]?.told?.modality;
  const ahead = steps.slice(index + 1);
  const end = ahead.findIndex(({ told }) => modality === undefined || told?.modality !== modality);
  const out = end < 0 ? ahead : ahead.slice(0, end);
  return { change: { ...change, leftOut: [...new Set([...change.leftOut, ...out.map(({ id }) => id)])] }, out };
}

/** Half as many repetitions again for the step at hand, at least one: a longer stay where it is tight. */
export function longerStay(step: TableStep, usual: number, change: TableChange): TableChange {
  const repetitions = step.repetitions + Math.max(1, Math.round(usual / 2));
  return { ...change, repetitions: { ...change.repetitions, [step.id]: repetitions } };
}

/** From when on, and until when, it is worth asking about the pressure (s of the visit). */
const askFromSeconds = 120;
const askUntilSeconds = 600;
const handWork = (step: TableStep) => step.kind !== 'breathe';

/** Whether to ask about the pressure now: early, while the client is awake, and once. */
export function isTimeToAsk(step: TableStep | undefined, visitSeconds: Seconds, marks: readonly Mark[]): boolean {
  if (!step || !handWork(step)) return false;
  const isAnswered = marks.some(({ kind }) => ['asked', 'lighter', 'deeper', 'pain'].includes(kind));
  return !isAnswered && visitSeconds >= askFromSeconds && visitSeconds < askUntilSeconds;
}

/**
 * Marks as sentences for the record: “Tighter at the left calf (lead fluid, 14:06). …”.
 * @param placeOf a mark → its place and the name of its step, in words
 */
export function marksInWords(
  marks: readonly Mark[],
  placeOf: (mark: Mark) => { readonly place: string; readonly title: string } | undefined,
  timeOf: (at: string) => string,
): readonly string[] {
  return marks.flatMap((mark) => {
    const { kind, at } = mark;
    const where = placeOf(mark);
    if (kind === 'asked') return [`${markWords.asked.note} (${timeOf(at)}).`];
    if (answersToAsking.has(kind))
      return where ? [`${markWords[kind].note} (${where.title.toLowerCase()}, ${timeOf(at)}).`] : [];
    return where ? [`${markWords[kind].note} at ${where.place} (${where.title.toLowerCase()}, ${timeOf(at)}).`] : [];
  });
}
