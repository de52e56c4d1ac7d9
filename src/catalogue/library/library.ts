import { type Known, problemsOfProtocol, problemsOfTechnique } from '../../core/library/check-library';
import type { Library, Protocol } from '../../core/library/protocol';
import type { Technique } from '../../core/library/technique';
import { ProtocolSchema, TechniqueSchema } from '../../contracts/library';
import type { FieldError } from '../../core/result';
import { basinRows, territoryRows } from '../anatomy.data';
import { readRows } from '../read-table';
import { screeningBook } from '../screening/screening';
import bodyRows from './data/body.json';
import drainageRows from './data/drainage.json';
import faceRows from './data/face-and-neck.json';
import homeRows from './data/home.json';
import stoneRows from './data/stones.json';
import techniqueRows from './data/techniques.json';

const byId = <T extends { readonly id: string }>(rows: readonly T[]) => new Map(rows.map((row) => [row.id, row]));

const techniques: ReadonlyMap<string, Technique> = byId(readRows('techniques', TechniqueSchema, techniqueRows));
const protocols: ReadonlyMap<string, Protocol> = byId(
  readRows('protocols', ProtocolSchema, [drainageRows, faceRows, stoneRows, bodyRows, homeRows].flat()),
);

/** What ships: every technique and protocol, in the order of the catalogue. */
export const shippedLibrary: Library = { techniques, protocols };

/** Names of all regions that work can be given to: skin and node groups. */
export const regionNames: ReadonlySet<string> = new Set([...territoryRows, ...basinRows].map(([name]) => name));

/** What a library with these techniques may name. */
export const knownWith = (list: ReadonlyMap<string, Technique>): Known => ({
  techniques: list,
  regions: regionNames,
  modalities: new Set(screeningBook.modalities.keys()),
});

/** What is wrong with a whole library, each fault with its place. */
export function problemsOfLibrary(library: Library): readonly FieldError[] {
  const known = knownWith(library.techniques);
  return [
    ...[...library.techniques.values()].flatMap((one) => problemsOfTechnique(one, `techniques.${one.id}`)),
    ...[...library.protocols.values()].flatMap((one) => problemsOfProtocol(one, known, `protocols.${one.id}`)),
  ];
}
