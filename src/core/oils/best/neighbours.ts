/** All sets of drops that are one drop more or less, or one exchanged, away. */
export function* neighbours(drops: readonly number[]): Generator<readonly number[]> {
  const moved = (...by: readonly (readonly [number, number])[]) =>
    drops.map((count, i) => by.reduce((sum, [at, step]) => (at === i ? sum + step : sum), count));
  for (let i = 0; i < drops.length; i += 1) {
    yield moved([i, 1]);
    if ((drops[i] ?? 0) === 0) continue;
    yield moved([i, -1]);
    for (let j = 0; j < drops.length; j += 1) if (i !== j) yield moved([i, -1], [j, 1]);
  }
}
