import { z } from 'zod';
import { readRows } from '../read-table';
import groupRowsDe from './data/home-groups.de.json';
import groupRows from './data/home-groups.json';
import placeRowsDe from './data/home-places.de.json';
import placeRows from './data/home-places.json';
import { homeRoutes } from './home-places';

/** What a client is told at a place: which hand, and how it moves, with a reason. */
const HomePlace = z.strictObject({
  /** A region, without its side. */
  name: z.string().min(1),
  hand: z.string().min(1),
  how: z.string().min(1),
  byRoute: z.partialRecord(z.enum(homeRoutes), z.string().min(1)).optional(),
});

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

/** A group in another language: the same regions, other words. */
const GroupWords = HomeGroup.omit({ regions: true, leads: true }).extend({
  /** Its title in English, by which it is found. */
  of: z.string().min(1),
});

/**
 * Looks at the tables of home sheets once, where the house starts. They go to the client's phone, too, which takes them as
 * they are: schemas are half again as large as all else on that page.
 * @throws Error with the table and the field for a bad one
 */
export function checkHomePlaces(): void {
  readRows('home places', HomePlace, placeRows);
  readRows('German home places', HomePlace, placeRowsDe);
  readRows('home groups', HomeGroup, groupRows);
  readRows('German home groups', GroupWords, groupRowsDe);
}
