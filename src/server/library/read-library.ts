import { anatomy } from '../../catalogue/anatomy';
import { knownWith, regionNames, shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import type { LibraryFile } from '../../contracts/library';
import type { Difference, Entry, LibraryView, Origin } from '../../contracts/library-views';
import { regionLabel } from '../../core/anatomy/place';
import type { Known } from '../../core/library/check-library';
import { differencesBetween } from '../../core/library/differences';
import { type Library, usualSeconds } from '../../core/library/protocol';
import { hasTrait, type Technique } from '../../core/library/technique';
import type { Db } from '../db/connection';
import type { JsonColumn } from '../db/json-column';
import { protocolColumn, techniqueColumn } from './library.documents';
import type { LibraryEntryRow } from '../db/schema';
import { listOwnEntries } from './library.repository';
import { libraryAnswers } from './library.answers';

/** What the house works with: what ships, with its own laid over it. */
export interface HouseLibrary extends Library {
  readonly own: ReadonlyMap<string, LibraryEntryRow>;
  readonly known: Known;
}

const entryKey = (kind: LibraryEntryRow['kind'], id: string) => `${kind} ${id}`;

export async function readHouseLibrary(db: Db): Promise<HouseLibrary> {
  const rows = await listOwnEntries(db);
  const own = new Map(rows.map((row) => [entryKey(row.kind, row.key), row]));
  const overlaid = <T>(kind: LibraryEntryRow['kind'], column: JsonColumn<T>, shipped: ReadonlyMap<string, T>) => {
    const all = new Map(shipped);
    for (const row of rows) if (row.kind === kind) all.set(row.key, column.read(row.document_json));
    return all;
  };
  const techniques = overlaid('technique', techniqueColumn, shippedLibrary.techniques);
  const protocols = overlaid('protocol', protocolColumn, shippedLibrary.protocols);
  return { techniques, protocols, own, known: knownWith(techniques) };
}

/** Techniques for which training is needed are shown to those who have it. */
function isShownTo(technique: Technique, qualifications: ReadonlySet<string>): boolean {
  if (hasTrait(technique, 'licensed')) return qualifications.has('manual-medicine-licence');
  if (hasTrait(technique, 'advanced'))
    return qualifications.has('massage') || qualifications.has('manual-medicine-licence');
  return true;
}

/** All that the Library view opens with. */
export async function readLibrary(db: Db, qualifications: readonly string[]): Promise<LibraryView> {
  const library = await readHouseLibrary(db);
  const held = new Set(qualifications);
  const techniques = [...library.techniques.values()];
  const shown = techniques.filter((technique) => isShownTo(technique, held));
  return {
    techniques: shown.map((value) => entryOf('technique', value, shippedLibrary.techniques.get(value.id), library)),
    protocols: [...library.protocols.values()].map((value) => ({
      ...entryOf('protocol', value, shippedLibrary.protocols.get(value.id), library),
      seconds: usualSeconds(value, library.techniques),
    })),
    modalities: [...screeningBook.modalities.values()].map(({ id, label }) => ({ id, label })),
    regions: [...regionNames].map((name) => ({ name, label: labelOfRegion(name) })),
    withheld: techniques
      .filter((technique) => !shown.includes(technique))
      .map(({ id, name, traits, secondsPerRepetition, repetitions, placements, isPerRegion }) => ({
        ...{ id, name, secondsPerRepetition, repetitions, placements, isPerRegion },
        needs: traits.includes('licensed') ? ('licence' as const) : ('training' as const),
      })),
  };
}

/** A region without its side, as therapists call it. */
export const labelOfRegion = (name: string) => regionLabel(anatomy, name);

function entryOf<T extends { readonly id: string }>(
  kind: LibraryEntryRow['kind'],
  value: T,
  shipped: T | undefined,
  library: HouseLibrary,
): Entry<T> {
  const row = library.own.get(entryKey(kind, value.id));
  const origin: Origin = !row ? 'shipped' : shipped ? 'changed' : 'own';
  const differences =
    row && shipped
      ? differencesBetween(shipped, value).map(({ field, before, after }): Difference => ({
          field,
          shipped: inWords(before),
          own: inWords(after),
        }))
      : [];
  return { value, origin, version: row?.version ?? 0, differences };
}

function inWords(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'string') return value;
  if (Array.isArray(value) && value.some((one) => typeof one === 'object'))
    return libraryAnswers.inNumber(value.length);
  return Array.isArray(value) ? value.join(', ') : JSON.stringify(value);
}

/** What the house has of its own, or all that it works with, as a file that another house reads. */
export async function exportLibrary(db: Db, isWhole: boolean): Promise<LibraryFile> {
  const library = await readHouseLibrary(db);
  const wanted = <T extends { readonly id: string }>(kind: LibraryEntryRow['kind'], all: ReadonlyMap<string, T>) =>
    [...all.values()].filter(({ id }) => isWhole || library.own.has(entryKey(kind, id)));
  return {
    format: 'velvet-stone-library',
    version: 1,
    techniques: wanted('technique', library.techniques) as LibraryFile['techniques'],
    protocols: wanted('protocol', library.protocols) as LibraryFile['protocols'],
  };
}
