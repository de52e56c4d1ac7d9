import { type Anatomy, nameOf, type PlaceId } from '../anatomy/place';
import type { MarkKind } from './mark-kinds';
import type { TableStep } from './table-step';

/** What is looked at when one side is held against the other. */
export type Compared = Extract<MarkKind, 'higher' | 'fuller'>;

export interface Comparison {
  /** A face is lifted, anything else is emptied. */
  readonly asks: Compared;
  /** The places of the step, each on both sides. */
  readonly places: readonly PlaceId[];
}

/** Both halves of what a step is worked on, to be looked at side by side; undefined where it lies in the middle only. */
export function comparisonOf(
  anatomy: Anatomy,
  { told, place }: Pick<TableStep, 'told' | 'place'>,
): Comparison | undefined {
  const names = new Set((told?.places ?? [place]).map(nameOf));
  const places = [...names].flatMap((name) => {
    const both = [`${name}.left`, `${name}.right`];
    return both.every((id) => anatomy.territories.has(id)) ? both : [];
  });
  const [first] = places;
  if (first === undefined) return undefined;
  return { asks: anatomy.territories.get(first)?.part === 'head' ? 'higher' : 'fuller', places };
}
