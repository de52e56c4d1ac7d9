import type { TableChange, TableEvent } from './progress';
import type { TableStep } from './table-step';

/** What may be noted with one key while the hands are busy. */
export const markKinds = [
  'tighter',
  'redness',
  'tender',
  'warmer',
  'cooler',
  'lighter',
  'deeper',
  'pain',
  'asked',
] as const;
export type MarkKind = (typeof markKinds)[number];

export interface MarkWords {
  readonly key: string;
  /** On the key at the table. */
  readonly name: string;
  /** For the record, with “at” and a place behind it. */
  readonly note: string;
}

export const markWords: Readonly<Record<MarkKind, MarkWords>> = {
  tighter: { key: '1', name: 'tighter here', note: 'Tighter' },
  redness: { key: '2', name: 'redness', note: 'Redness' },
  tender: { key: '3', name: 'tender', note: 'Tender' },
  warmer: { key: '4', name: 'warmer', note: 'Warm to the hand' },
  cooler: { key: '5', name: 'cooler', note: 'Cool to the hand' },
  lighter: { key: '6', name: 'lighter', note: 'Asked for a lighter hand' },
  deeper: { key: '7', name: 'deeper', note: 'Asked for a deeper hand' },
  pain: { key: 'X', name: 'pain: stop this', note: 'Pain, so this was stopped' },
  asked: { key: 'A', name: 'asked', note: 'Pressure was asked about and is right' },
};

/** Something that was marked: what, in which step, when. */
export interface Mark {
  readonly kind: MarkKind;
  readonly stepId: string;
  readonly at: string;
}

/** Marks in the order in which they were made; the same one twice in a step counts once. */
export function marksOf(events: readonly TableEvent[]): readonly Mark[] {
  const seen = new Set<string>();
  return events.flatMap(({ kind, mark, stepId, at }): Mark[] => {
    const key = `${mark ?? ''} ${stepId ?? ''}`;
    if (kind !== 'mark' || mark === undefined || stepId === null || seen.has(key)) return [];
    seen.add(key);
    return [{ kind: mark, stepId, at }];
  });
}

/** Steps do the same when the library calls them alike, or when drainage does the same to the same place. */
export function isSameTechnique(a: TableStep, b: TableStep): boolean {
  if (a.told || b.told) return a.told !== undefined && a.told.title === b.told?.title;
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
export function isTimeToAsk(step: TableStep | undefined, visitSeconds: number, marks: readonly Mark[]): boolean {
  if (!step || !handWork(step)) return false;
  const isAnswered = marks.some(({ kind }) => ['asked', 'lighter', 'deeper', 'pain'].includes(kind));
  return !isAnswered && visitSeconds >= askFromSeconds && visitSeconds < askUntilSeconds;
}

/**
 * Marks as sentences for the record: “Tighter at the left calf (lead fluid, 14:06). …”.
 * @param placeOf a step → its place and its name, in words
 */
export function marksInWords(
  marks: readonly Mark[],
  placeOf: (stepId: string) => { readonly place: string; readonly title: string } | undefined,
  timeOf: (at: string) => string,
): readonly string[] {
  return marks.flatMap(({ kind, stepId, at }) => {
    const where = placeOf(stepId);
    if (kind === 'asked') return [`${markWords.asked.note} (${timeOf(at)}).`];
    return where ? [`${markWords[kind].note} at ${where.place} (${where.title.toLowerCase()}, ${timeOf(at)}).`] : [];
  });
}
