import { nearness, plainLetters } from './nearness';

export interface Searched {
  readonly id: string;
  readonly title: string;
  readonly text: string;
}

/** A word of the title counts more than one of the text. */
const inText = 10;

/**
 * Chapters that hold every word that was typed, misspelt too, the nearest first; all of them, in their order, for
 * nothing typed.
 */
export function findChapters<C extends Searched>(chapters: readonly C[], typed: string): readonly C[] {
  const words = wordsOf(typed);
  if (words.length === 0) return chapters;
  return chapters
    .flatMap((chapter) => {
      const [title, text] = [wordsOf(chapter.title), wordsOf(chapter.text)];
      const costs = words.map((word) => {
        const near = nearness(word, title);
        const far = nearness(word, text);
        return Math.min(near ?? Infinity, far === undefined ? Infinity : far + inText);
      });
      const cost = costs.reduce((sum, one) => sum + one, 0);
      return Number.isFinite(cost) ? [{ chapter, cost }] : [];
    })
    .sort((a, b) => a.cost - b.cost)
    .map(({ chapter }) => chapter);
}

const wordsOf = (text: string): readonly string[] =>
  plainLetters(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');
