/**
 * The least that a walk can cost which begins at the start and sees every one of the others at least once, passing
 * through any of them as often as it likes. No order of blocks can cost less.
 * @param between costs from place to place; the last one is the start
 * @returns undefined with more places than can be tried
 */
export function leastVisit(between: readonly (readonly number[])[], most = 14): number | undefined {
  const size = between.length - 1;
  if (size > most) return undefined;
  const direct = closeUp(between);
  const full = (1 << size) - 1;
  const least = new Float64Array((full + 1) * size).fill(Infinity);
  for (let j = 0; j < size; j += 1) least[(1 << j) * size + j] = direct[size]?.[j] ?? 0;
  for (let set = 1; set <= full; set += 1)
    for (let j = 0; j < size; j += 1) {
      const here = least[set * size + j] ?? Infinity;
      if (here === Infinity) continue;
      for (let k = 0; k < size; k += 1) {
        if (set & (1 << k)) continue;
        const to = (set | (1 << k)) * size + k;
        least[to] = Math.min(least[to] ?? Infinity, here + (direct[j]?.[k] ?? 0));
      }
    }
  return size === 0 ? 0 : Math.min(...least.slice(full * size, full * size + size));
}

/** The cheapest way from each place to each other one, through others where that is cheaper (Floyd (1962), CACM 5:345). */
function closeUp(between: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const ways = between.map((row) => [...row]);
  for (let via = 0; via < ways.length; via += 1)
    for (const row of ways)
      for (let to = 0; to < row.length; to += 1)
        row[to] = Math.min(row[to] ?? Infinity, (row[via] ?? Infinity) + (ways[via]?.[to] ?? Infinity));
  return ways;
}
