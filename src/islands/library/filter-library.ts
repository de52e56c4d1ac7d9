import type { Minutes } from '../../core/quantities';
import { purposes } from '../../catalogue/library/purposes';
import type { Entry, LibraryView } from '../../contracts/library-views';
import type { Protocol } from '../../core/library/protocol';
import type { Found } from './search-library';
import type { Family, HandNeed, Technique } from '../../core/library/technique';

export interface Filter {
  readonly text: string;
  /** A region's name, as picked on the body. */
  readonly region: string | undefined;
  readonly hands: HandNeed | '';
  /** Of techniques. */
  readonly family: Family | '';
  /** Of protocols. */
  readonly modality: string;
  /** What clients come for. */
  readonly purpose: string;
  readonly school: string;
  readonly mostMinutes: Minutes | undefined;
}

export const noFilter: Filter = {
  text: '',
  region: undefined,
  hands: '',
  family: '',
  modality: '',
  purpose: '',
  school: '',
  mostMinutes: undefined,
};

/** What was found by words, best first; everything in its own order while nothing is typed. */
const byWords = <T extends { readonly value: { readonly id: string } }>(
  list: readonly T[],
  found: Found | undefined,
): readonly T[] => {
  if (!found) return list;
  const place = new Map([...found.keys()].map((id, i) => [id, i]));
  return list
    .filter(({ value }) => found.has(value.id))
    .toSorted((a, b) => (place.get(a.value.id) ?? 0) - (place.get(b.value.id) ?? 0));
};

/** Regions that each technique is used on, over all protocols. */
export function regionsByTechnique(protocols: LibraryView['protocols']): ReadonlyMap<string, ReadonlySet<string>> {
  const regions = new Map<string, Set<string>>();
  for (const { value } of protocols)
    for (const step of value.blocks.flatMap(({ steps }) => steps)) {
      const known = regions.get(step.technique) ?? new Set();
      for (const region of step.regions) known.add(region);
      regions.set(step.technique, known);
    }
  return regions;
}

export function filterTechniques(
  list: readonly Entry<Technique>[],
  filter: Filter,
  used: ReadonlyMap<string, ReadonlySet<string>>,
  found?: Found,
): readonly Entry<Technique>[] {
  return byWords(list, found).filter(
    ({ value }) =>
      (filter.hands === '' || value.hands === filter.hands) &&
      (filter.family === '' || value.family === filter.family) &&
      (filter.region === undefined || (used.get(value.id)?.has(filter.region) ?? false)),
  );
}

type ListedProtocol = LibraryView['protocols'][number];

export function filterProtocols(
  list: readonly ListedProtocol[],
  filter: Filter,
  found?: Found,
): readonly ListedProtocol[] {
  const forPurpose = purposes.find(({ id }) => id === filter.purpose)?.protocols;
  return byWords(list, found).filter(
    ({ value }) =>
      (forPurpose?.includes(value.id) ?? true) &&
      (filter.hands === '' || value.blocks.some(({ hands }) => hands === filter.hands)) &&
      (filter.modality === '' || value.modality === filter.modality) &&
      (filter.school === '' || value.school === filter.school) &&
      (filter.mostMinutes === undefined || value.usualMinutes <= filter.mostMinutes) &&
      (filter.region === undefined || touchesRegion(value, filter.region)),
  );
}

const touchesRegion = (protocol: Protocol, region: string) =>
  protocol.blocks.some(({ steps }) => steps.some(({ regions }) => regions.includes(region)));
