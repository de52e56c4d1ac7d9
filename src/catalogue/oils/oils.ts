import type { OilBook } from '../../core/oils/book';
import { carriers } from './data/carriers.data';
import { oilConditions } from './data/conditions.data';
import { constituents } from './data/constituents.data';
import { dilutionGuide } from './data/dilution-guide.data';
import { essentialOils } from './data/essential-oils.data';

const byId = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]));

/**
 * Essential oils, what is in them, carriers and how strong blends usually are. The browser has them too, so their shape
 * is held by the compiler; `oils.test.ts` holds their figures to `schemas.ts`.
 */
export const oilBook: OilBook = {
  oils: byId(essentialOils),
  constituents: byId(constituents),
  carriers: byId(carriers),
  guide: byId(dilutionGuide),
  conditions: new Map(oilConditions.map(({ id, label }) => [id, label])),
};
