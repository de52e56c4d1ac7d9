import type { Seconds } from '../quantities';
import type { Level } from './kinds';

/** Ten minutes a day. */
export const sessionSeconds = 600;

/** Whoever leaves a case lying has not practised all the while. */
const mostOfOne = 180;

/** How much of the time that an answer took was practised. */
export const practisedSeconds = (took: Seconds): Seconds => Math.min(mostOfOne, Math.max(0, took));

const wantedAnswers = 3;
const upFrom = 0.85;
const downBelow = 0.5;

/**
 * The level that suits somebody: up after three answers at the last level that were right or nearly so, down after three
 * that were not.
 * @param answers of one kind, newest first
 */
export function levelFor(answers: readonly { readonly level: Level; readonly score: number }[]): Level {
  const [newest] = answers;
  if (!newest) return 1;
  const { level } = newest;
  const here = answers.slice(0, wantedAnswers).filter((one) => one.level === level);
  if (here.length < wantedAnswers) return level;
  const mean = here.reduce((sum, { score }) => sum + score, 0) / here.length;
  if (mean >= upFrom) return Math.min(4, level + 1) as Level;
  return mean < downBelow ? (Math.max(1, level - 1) as Level) : level;
}
