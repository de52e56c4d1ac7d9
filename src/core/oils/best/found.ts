/** Merits closer than this are the same. */
export const same = 1e-12;

export interface Found {
  readonly drops: readonly number[];
  readonly merit: number;
}

/** The better of two: more merit, then fewer drops, then the smaller drops in the order of the candidates. */
export function isBetter(a: Found, b: Found | undefined): boolean {
  if (!b) return true;
  if (Math.abs(a.merit - b.merit) > same) return a.merit > b.merit;
  const drops = (found: Found) => found.drops.reduce((sum, count) => sum + count, 0);
  if (drops(a) !== drops(b)) return drops(a) < drops(b);
  const i = a.drops.findIndex((count, at) => count !== b.drops[at]);
  return i >= 0 && (a.drops[i] ?? 0) < (b.drops[i] ?? 0);
}
