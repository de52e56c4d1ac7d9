import { homeGroups, homePlaces } from '../../catalogue/homecare/home-places';
import { checkHomePlaces } from '../../catalogue/homecare/home-places.schemas';
import { type PlainProtocol, plainProtocol, type PlainTechnique, plainTechnique } from '../../core/library/plain-form';
import type { Db } from '../db/connection';
import { readHouseLibrary } from './read-library';
import { libraryAnswers } from './library.answers';

// What ships is looked at once, before anybody is told it.
checkHomePlaces();

const formVersion = 2;

/** Everything that the house works with, its own over what ships, as other programs read it. */
export async function plainLibrary(db: Db): Promise<{
  readonly about: string;
  readonly version: number;
  readonly techniques: readonly PlainTechnique[];
  readonly protocols: readonly PlainProtocol[];
  readonly homePlaces: Readonly<Record<string, unknown>>;
  readonly homeGroups: readonly unknown[];
}> {
  const library = await readHouseLibrary(db);
  return {
    about: libraryAnswers.techniquesAndProtocolsOfTheHouse,
    version: formVersion,
    techniques: [...library.techniques.values()].map(plainTechnique),
    protocols: [...library.protocols.values()].map(plainProtocol),
    homePlaces: Object.fromEntries([...homePlaces].map(([name, { name: _, ...told }]) => [name, told])),
    homeGroups: homeGroups.map(({ leads: _, ...told }) => told),
  };
}
