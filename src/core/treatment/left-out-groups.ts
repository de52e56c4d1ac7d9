interface Told {
  readonly what: string;
  readonly why: string;
  readonly instead: string | null;
}

export interface LeftOutGroup {
  readonly why: string;
  readonly instead: string | null;
  /** In the order of the treatment, each once. */
  readonly what: readonly string[];
}

/** What is left out, each reason told once: twelve steps that may not lead to one armpit share its sentence. */
export function byReason(leftOut: readonly Told[]): readonly LeftOutGroup[] {
  const groups = new Map<string, LeftOutGroup>();
  for (const { what, why, instead } of leftOut) {
    const key = JSON.stringify([why, instead]);
    const before = groups.get(key)?.what ?? [];
    groups.set(key, { why, instead, what: [...new Set([...before, what])] });
  }
  return [...groups.values()];
}
