import type { Qualification, Requirements } from './tables';
import { screeningSays } from './screening.says';

/** What is held, with all that it implies. */
export function heldWith(qualifications: readonly Qualification[], input: readonly string[]): ReadonlySet<string> {
  const byId = new Map(qualifications.map((q) => [q.id, q]));
  const held = new Set<string>();
  const add = (id: string) => {
    if (held.has(id)) return;
    held.add(id);
    for (const implied of byId.get(id)?.implies ?? []) add(implied);
  };
  input.forEach(add);
  return held;
}

/** The requirements that are not met; an inner list is met by any one of it. */
export function missingOf(requires: Requirements | undefined, held: ReadonlySet<string>): Requirements {
  return (requires ?? []).filter((entry) => !(typeof entry === 'string' ? [entry] : entry).some((id) => held.has(id)));
}

/** `Needs Stone therapy.` */
export function needsInWords(missing: Requirements, qualifications: readonly Qualification[]): string {
  const label = (id: string) => qualifications.find((q) => q.id === id)?.label ?? id;
  const entries = missing.map((entry) => (typeof entry === 'string' ? [entry] : entry).map(label).join(' or '));
  return screeningSays.needs(entries.join(', and '));
}
