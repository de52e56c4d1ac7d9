import type { Minutes } from '../../core/quantities';
import { purposes } from '../../catalogue/library/purposes';
import type { Entry, LibraryView } from '../../contracts/library-views';
import type { Protocol } from '../../core/library/protocol';
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

/** Small letters without accents, for finding. */
const folded = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

const holds = (text: string, words: readonly string[]) => {
  const all = folded(words.join(' '));
  return folded(text)
    .split(/\s+/)
    .every((word) => all.includes(word));
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
): readonly Entry<Technique>[] {
  return list.filter(
    ({ value }) =>
      (filter.hands === '' || value.hands === filter.hands) &&
      (filter.family === '' || value.family === filter.family) &&
      (filter.region === undefined || used.get(value.id)?.has(filter.region)) &&
      holds(filter.text, [value.name, value.id, value.family, ...value.cues]),
  );
}

type ListedProtocol = LibraryView['protocols'][number];

export function filterProtocols(list: readonly ListedProtocol[], filter: Filter): readonly ListedProtocol[] {
  const forPurpose = purposes.find(({ id }) => id === filter.purpose)?.protocols;
  return list.filter(
    ({ value }) =>
      (forPurpose?.includes(value.id) ?? true) &&
      (filter.hands === '' || value.blocks.some(({ hands }) => hands === filter.hands)) &&
      (filter.modality === '' || value.modality === filter.modality) &&
      (filter.school === '' || value.school === filter.school) &&
      (filter.mostMinutes === undefined || value.usualMinutes <= filter.mostMinutes) &&
      (filter.region === undefined || touchesRegion(value, filter.region)) &&
      holds(filter.text, [value.name, value.id, value.about, value.modality]),
  );
}

const touchesRegion = (protocol: Protocol, region: string) =>
  protocol.blocks.some(({ steps }) => steps.some(({ regions }) => regions.includes(region)));
