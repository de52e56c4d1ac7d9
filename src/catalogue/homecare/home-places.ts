import { z } from 'zod';
import { readRows } from '../read-table';
import placeRowsDe from './data/home-places.de.json';
import groupRowsDe from './data/home-groups.de.json';
import groupRows from './data/home-groups.json';
import placeRows from './data/home-places.json';

/** Which ways a sheet leads round: its words at a place depend on it. */
const homeRoutes = ['open', 'arm', 'arms', 'leg'] as const;
export type HomeRoute = (typeof homeRoutes)[number];

/** What a client is told at a place: which hand, and how it moves, with a reason. */
const HomePlace = z.strictObject({
  /** A region, without its side. */
  name: z.string().min(1),
  hand: z.string().min(1),
  how: z.string().min(1),
  byRoute: z.partialRecord(z.enum(homeRoutes), z.string().min(1)).optional(),
});
export type HomePlace = z.infer<typeof HomePlace>;

/** Regions that are told in one line of a sheet. */
const HomeGroup = z.strictObject({
  title: z.string().min(1),
  regions: z.array(z.string().min(1)).min(1),
  words: z.string().min(1),
  sheet: z.enum(['leg', 'arm', 'chest']),
  /** The same where every node group is open. */
  wordsOpen: z.string().min(1).optional(),
  /** The same where both armpits are closed; null: the line is left out then. */
  wordsBoth: z.string().min(1).nullable().optional(),
  /** Which way its words lead; it holds only steps that lead so. Without it, its regions are enough. */
  leads: z.enum(['down', 'out', 'across']).optional(),
});
export type HomeGroup = z.infer<typeof HomeGroup>;

export const homePlaces: ReadonlyMap<string, HomePlace> = new Map(
  readRows('home places', HomePlace, placeRows).map((row) => [row.name, row]),
);
export const homePlacesDe: ReadonlyMap<string, HomePlace> = new Map(
  readRows('German home places', HomePlace, placeRowsDe).map((row) => [row.name, row]),
);
export const homeGroups: readonly HomeGroup[] = readRows('home groups', HomeGroup, groupRows);

/** A group in another language: the same regions, other words. */
const GroupWords = HomeGroup.omit({ regions: true, leads: true }).extend({
  /** Its title in English, by which it is found. */
  of: z.string().min(1),
});

/** @throws Error for words of a group that there is not */
export const homeGroupsDe: readonly HomeGroup[] = readRows('German home groups', GroupWords, groupRowsDe).map(
  ({ of, ...own }) => {
    const group = homeGroups.find(({ sheet, title }) => sheet === own.sheet && title === of);
    if (!group) throw new Error(`German home groups: there is no group “${of}” for ${own.sheet}`);
    return { ...own, regions: group.regions, ...(group.leads && { leads: group.leads }) };
  },
);
