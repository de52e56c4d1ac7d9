import type { BlendPart, OilBook } from './book';
import { oilOf } from './book';
import { bestBlend } from './best/best-blend';
import type { BestBlendCase } from './best/blend-problem';

export const mostStrips = 3;
/** Plain air between two strips (s). */
export const restSeconds = 30;

/** Conditions for which nothing is smelled at all. */
export const noSmellConditions = ['fragrance-allergy', 'asthma-scent-trigger'] as const;

export interface Strip {
  readonly parts: readonly BlendPart[];
}

/**
 * Two or three blends for a nose to choose from: the best, then the best without what led the ones before, so that each
 * smells different. All pass every limit. @returns fewer than two when the shelf has no more to offer
 */
export function smellCandidates(book: OilBook, input: BestBlendCase): readonly Strip[] {
  const strips: Strip[] = [];
  let candidates = input.candidates;
  while (strips.length < mostStrips) {
    const answer = bestBlend(book, { ...input, candidates });
    if (answer.kind === 'none') break;
    const parts = answer.blend.parts.map((part): BlendPart => {
      const candidate = candidates.find(({ oil }) => oil === part.oil);
      return { ...part, dropsPerMl: candidate?.dropsPerMl };
    });
    strips.push({ parts });
    const leading = leadingOil(book, parts);
    candidates = candidates.filter(({ oil }) => oil !== leading);
  }
  return strips;
}

/** The oil that a nose notices first: by drops and by how strongly it smells. */
function leadingOil(book: OilBook, parts: readonly BlendPart[]): string | undefined {
  const weight = ({ oil, drops }: BlendPart) => drops * oilOf(book, oil).odourIntensity;
  return parts.reduce<BlendPart | undefined>(
    (most, part) => (!most || weight(part) > weight(most) ? part : most),
    undefined,
  )?.oil;
}

/**
 * A random order (Fisher and Yates 1938, after Durstenfeld 1964).
 * @param random numbers in [0, 1)
 * @returns which candidate lies at each place
 */
export function shuffled(count: number, random: () => number): readonly number[] {
  const order = Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j] ?? 0, order[i] ?? 0];
  }
  return order;
}

export interface SmellAnswer {
  /** 0–10. */
  readonly liking: number | null;
  readonly word: string;
}

/** The place of the strip that was liked best; the first smelled of equals; null while none was judged. */
export function bestLiked(answers: readonly SmellAnswer[]): number | null {
  const best = answers.reduce<number | null>(
    (most, { liking }, i) => (liking !== null && (most === null || liking > (answers[most]?.liking ?? -1)) ? i : most),
    null,
  );
  return best;
}
