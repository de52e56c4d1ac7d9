import type { Carrier, Constituent, EssentialOil, GuideRow, OilBook } from '../../core/oils/book';
import carriers from './data/carriers.json';
import conditions from './data/conditions.json';
import constituents from './data/constituents.json';
import guide from './data/dilution-guide.json';
import oils from './data/essential-oils.json';

const byId = <T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]));

/**
 * Essential oils, what is in them, carriers and how strong blends usually are. The rows are JSON, whose words TypeScript
 * cannot narrow; `oils.test.ts` holds every row to the types that are named here.
 */
export const oilBook: OilBook = {
  oils: byId(oils as unknown as readonly EssentialOil[]),
  constituents: byId(constituents as unknown as readonly Constituent[]),
  carriers: byId(carriers as unknown as readonly Carrier[]),
  guide: byId(guide as readonly GuideRow[]),
  conditions: new Map(conditions.map(({ id, label }) => [id, label])),
};
