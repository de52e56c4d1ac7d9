interface Told {
  readonly what: string;
  readonly why: string;
  readonly instead: string | null;
}

/** What is done instead, and of what. */
export interface Instead {
  readonly name: string;
  readonly of: readonly string[];
}

export interface LeftOutGroup {
  readonly why: string;
  /** In the order of the treatment, each once. */
  readonly what: readonly string[];
  readonly instead: readonly Instead[];
}

/**
 * What is left out, each reason told once: twelve steps that may not lead to one armpit share its sentence, and all that
 * is done instead stands behind it.
 */
export function byReason(leftOut: readonly Told[]): readonly LeftOutGroup[] {
  const groups = new Map<string, LeftOutGroup>();
  for (const { what, why, instead } of leftOut) {
    const known = groups.get(why) ?? { why, what: [], instead: [] };
    groups.set(why, {
      why,
      what: [...new Set([...known.what, what])],
      instead: instead === null ? known.instead : withInstead(known.instead, instead, what),
    });
  }
  return [...groups.values()];
}

function withInstead(known: readonly Instead[], name: string, of: string): readonly Instead[] {
  const isKnown = known.some((one) => one.name === name);
  const all = isKnown ? known : [...known, { name, of: [] }];
  return all.map((one) => (one.name === name ? { ...one, of: [...new Set([...one.of, of])] } : one));
}

/** `Skin stretch`; where not all have the same instead, each with its place: `Skin stretch (left upper chest)`. */
export const insteadInWords = (instead: readonly Instead[], leftOut: number): string =>
  instead
    .map(({ name, of }) => (instead.length === 1 && of.length === leftOut ? name : `${name} (${of.join('; ')})`))
    .join(', ');
