/**
 * Numbers of the intense steps of a block that no soothing one follows on one of the same regions.
 * @param has whether a step's technique is intense, or soothes
 */
export function unflushed<S extends { readonly regions: readonly string[] }>(
  steps: readonly S[],
  has: (step: S, trait: 'intense' | 'soothing') => boolean,
): readonly number[] {
  return steps.flatMap((step, i) => {
    if (!has(step, 'intense')) return [];
    const isFlushed = steps
      .slice(i + 1)
      .some((later) => has(later, 'soothing') && later.regions.some((region) => step.regions.includes(region)));
    return isFlushed ? [] : [i];
  });
}
