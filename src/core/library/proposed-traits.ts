import type { Family, Technique, Trait } from './technique';

/** A trait is usual for a family when so many of its techniques have it. */
const usualShare = 0.6;
/** Families of fewer say nothing yet. */
const fewest = 3;

/** What techniques of a family are usually like, to be proposed for a new one. */
export function proposedTraits(family: Family, all: readonly Technique[]): ReadonlySet<Trait> {
  const own = all.filter((one) => one.family === family);
  if (own.length < fewest) return new Set();
  const counts = new Map<Trait, number>();
  for (const trait of own.flatMap(({ traits }) => traits)) counts.set(trait, (counts.get(trait) ?? 0) + 1);
  return new Set([...counts].filter(([, count]) => count / own.length >= usualShare).map(([trait]) => trait));
}
