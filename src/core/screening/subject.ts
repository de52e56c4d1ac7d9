import { type PlaceId, sideOf } from '../anatomy/place';
import { type ScreeningBook, skinOf } from './book';
import type { ReadCondition } from './read-request';
import { doesNoteCount, eventDay } from './time';
import { daysBetween } from '../calendar/days';
import type { CombinationRule, Condition, Where } from './tables';

type Side = 'left' | 'right';
const bothSides: readonly Side[] = ['left', 'right'];
/** A finding or a combination rule that fired: something whose effects are to be weighed. */
export interface Subject {
  readonly id: string;
  readonly kind: 'finding' | 'rule';
  readonly of: Condition | CombinationRule;
  /** The territories that it was marked on; undefined when its place is not known. */
  readonly marks: ReadonlySet<PlaceId> | undefined;
  /** The sides on which names of territories are meant. */
  readonly sides: readonly Side[];
  /** The day of the event, and whole days from it to the visit; undefined when not known. */
  readonly day: string | undefined;
  readonly days: number | undefined;
  /** Territories of each kind of place, worked out when first asked for. */
  readonly places: Map<Where, readonly PlaceId[]>;
  /** Whether a written note that is valid on the day of the visit covers that modality. */
  readonly isCleared: (modality: string) => boolean;
}

export interface FindingSubject extends Subject {
  readonly given: ReadCondition;
  readonly of: Condition;
}

/** A condition of the client, with its place and time worked out. */
export function subjectOf(book: ScreeningBook, input: ReadCondition, visitDate: string): FindingSubject {
  const { condition, regions, side } = input;
  const sides = side === 'both' ? bothSides : side ? [side] : undefined;
  const day = eventDay(input.date, visitDate);
  return {
    id: input.id,
    kind: 'finding',
    of: condition,
    given: input,
    marks: marksOf(book, input, sides ?? bothSides),
    sides: sides ?? sidesOf(regions) ?? bothSides,
    day,
    places: new Map(),
    days: day === undefined ? undefined : daysBetween(day, visitDate),
    isCleared: (modality) => isNoteValid(input, modality, day, visitDate),
  };
}

function marksOf(book: ScreeningBook, input: ReadCondition, sides: readonly Side[]): ReadonlySet<PlaceId> | undefined {
  if (input.regions && input.regions.length > 0) return new Set(input.regions.flatMap((id) => skinOf(book, id)));
  const usual = input.condition.defaultRegions;
  if (!usual) return undefined;
  return new Set(usual.flatMap((name) => sides.map((side) => `${name}.${side}`)));
}

function sidesOf(regions: readonly PlaceId[] | undefined): readonly Side[] | undefined {
  if (!regions || regions.length === 0) return undefined;
  const found = new Set(regions.map(sideOf));
  return found.has('mid') ? bothSides : bothSides.filter((side) => found.has(side));
}

function isNoteValid(input: ReadCondition, modality: string, day: string | undefined, visitDate: string): boolean {
  const note = input.clearance;
  if (!note || (note.modalities !== 'all' && !note.modalities.includes(modality))) return false;
  return doesNoteCount(note.date, day, visitDate, input.condition.clearanceValidDays);
}

/** Where an effect of a subject holds, whatever its modality can reach; its marks have to be known. */
export function territoriesOf(book: ScreeningBook, where: Where, subject: Subject): readonly PlaceId[] {
  const known = subject.places.get(where);
  if (known) return known;
  const places = findTerritories(book, where, subject);
  subject.places.set(where, places);
  return places;
}

function findTerritories(book: ScreeningBook, where: Where, { marks = new Set(), sides }: Subject): readonly PlaceId[] {
  if (typeof where !== 'string') return where.flatMap((name) => sides.map((side) => `${name}.${side}`));
  if (where === 'marked') return [...marks];
  const limbs = new Set([...marks].flatMap((id) => book.limbOf.get(id) ?? []));
  const part = where === 'marked-limb' ? 'limb' : 'quadrant';
  return [...limbs].flatMap((id) => book.limbs.get(id)?.[part] ?? []);
}
