import { median } from '../statistics';

export interface FeedbackSummary {
  readonly last: number | null;
  readonly median: number | null;
  readonly count: number;
  /** The value that the last three answers agree on; null: they do not, or there are fewer. */
  readonly preferred: number | null;
}

const answersThatAgree = 3;

/** What a client said over their visits, oldest first; null: was not asked, and never counts as 0. */
export function summariseFeedback(answers: readonly (number | null)[]): FeedbackSummary {
  const input = answers.filter((answer): answer is number => answer !== null);
  const latest = input.slice(-answersThatAgree);
  const [first] = latest;
  return {
    last: input.at(-1) ?? null,
    median: input.length > 0 ? median(input) : null,
    count: input.length,
    preferred:
      first !== undefined && latest.length === answersThatAgree && latest.every((answer) => answer === first)
        ? first
        : null,
  };
}

/** Gain in relaxation; null unless both were asked. */
export const relaxationGain = (before: number | null, after: number | null) =>
  before === null || after === null ? null : after - before;

/** What has to be answered in the room at once: too hot, or lighter please. */
export function needsAnswerNow(feedback: {
  readonly pressure: number | null;
  readonly warmth: number | null;
}): 'lighter' | 'cooler' | undefined {
  if (feedback.pressure === -1) return 'lighter';
  return feedback.warmth === 2 ? 'cooler' : undefined;
}
