import type { ClosingInput, FeedbackField } from '../../contracts/closing';
import type { ClosingView } from '../../contracts/closing-view';

/** What is asked and looked at in the end; null: not asked. */
export type Answers = Omit<ClosingInput, 'basedOn'>;

export const tenths = Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }));
export const textOf = (value: number | null) => (value === null ? null : String(value));

export function answersFrom(first: ClosingView | null): Answers {
  if (!first)
    return {
      ...{ pressure: null, comfort: null, redness: null, rednessBefore: null, fadeMinutes: null, warmth: null },
      ...{ scent: null, relaxationBefore: null, relaxationAfter: null, note: '', noteDoc: null },
      ...{ byClient: [], oilMl: {}, stonesUsed: null, aftercare: null },
    };
  const { version: _, ...answers } = first;
  return answers;
}

/** An answer that the therapist changes is no longer the client’s own. */
export function changedBy(answers: Answers, change: Partial<Answers>): Answers {
  const next = { ...answers, ...change };
  return { ...next, byClient: next.byClient.filter((field: FeedbackField) => !(field in change)) };
}
