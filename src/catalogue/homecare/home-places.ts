import groupRowsDe from './data/home-groups.de.json';
import groupRows from './data/home-groups.json';
import placeRowsDe from './data/home-places.de.json';
import placeRows from './data/home-places.json';

/** Which ways a sheet leads round: its words at a place depend on it. */
export const homeRoutes = ['open', 'arm', 'arms', 'leg'] as const;
export type HomeRoute = (typeof homeRoutes)[number];

/** What a client is told at a place: which hand, and how it moves, with a reason. Checked by `home-places.schemas`. */
export interface HomePlace {
  /** A region, without its side. */
  readonly name: string;
  readonly hand: string;
  readonly how: string;
  readonly byRoute?: Partial<Record<HomeRoute, string>> | undefined;
}

/** Regions that are told in one line of a sheet. */
export interface HomeGroup {
  readonly title: string;
  readonly regions: readonly string[];
  readonly words: string;
  readonly sheet: 'leg' | 'arm' | 'chest';
  /** The same where every node group is open. */
  readonly wordsOpen?: string | undefined;
  /** The same where both armpits are closed; null: the line is left out then. */
  readonly wordsBoth?: string | null | undefined;
  /** Which way its words lead; it holds only steps that lead so. Without it, its regions are enough. */
  readonly leads?: 'down' | 'out' | 'across' | undefined;
}

const byName = (rows: readonly HomePlace[]): ReadonlyMap<string, HomePlace> =>
  new Map(rows.map((row) => [row.name, row]));

export const homePlaces = byName(placeRows);
export const homePlacesDe = byName(placeRowsDe);
export const homeGroups = groupRows as readonly HomeGroup[];

/** The words of a group in another language; `of` is its title in English, by which it is found. */
type GroupWords = Omit<HomeGroup, 'regions' | 'leads'> & { readonly of: string };

/** @throws Error for words of a group that there is not */
export const homeGroupsDe: readonly HomeGroup[] = (groupRowsDe as readonly GroupWords[]).map(({ of, ...own }) => {
  const group = homeGroups.find(({ sheet, title }) => sheet === own.sheet && title === of);
  if (!group) throw new Error(`German home groups: there is no group “${of}” for ${own.sheet}`);
  return { ...own, regions: group.regions, ...(group.leads && { leads: group.leads }) };
});
