import type { PlaceId } from '../anatomy/place';
import { nodeFindingIds } from '../anatomy/node-findings';

const regionFindingIds = ['irradiated', 'open-wound', 'port', 'thickened'] as const;

export const findingIds = [...nodeFindingIds, ...regionFindingIds, 'scar', 'cancer-history'] as const;

export type FindingId = (typeof findingIds)[number];

/** Something found on this body that changes where fluid may go. */
export interface Finding {
  readonly id: FindingId;
  /** For findings about nodes. */
  readonly side?: 'left' | 'right' | 'both' | undefined;
  /** For findings that lie somewhere: territories, and node groups where they are irradiated. */
  readonly regions?: readonly PlaceId[] | undefined;
  /** For a scar: pairs of neighbours that it runs between. */
  readonly crosses?: readonly (readonly PlaceId[])[] | undefined;
}
