import { z } from 'zod';
import { columnRoles } from '../core/exchange/measure-rows';
import { dateOrders } from '../core/exchange/read-date';
import { tapingPhases } from '../core/swelling/taping-context';
import { lengthUnits } from '../core/units';

const column = z.number().int().min(0).max(200);

/** How a table of girths is read, and whose it is. */
export const ImportPlan = z.object({
  /** The client that all rows belong to; null: each row names its own. */
  clientId: z.number().int().positive().nullable().default(null),
  delimiter: z.string().max(1).default(''),
  hasHead: z.boolean().default(true),
  columns: z.partialRecord(z.enum(columnRoles), column),
  pointColumns: z
    .array(z.object({ index: column, point: z.number().min(0).max(120) }))
    .max(60)
    .default([]),
  unit: z.enum(lengthUnits),
  dateOrder: z.enum(dateOrders),
  limb: z.enum(['arm', 'leg']).nullable().default(null),
  phase: z.enum(tapingPhases).default('before'),
  /** Which side is swollen where the record does not say: the larger one when left out. */
  swollen: z.enum(['left', 'right', 'larger']).default('larger'),
});
export type ImportPlan = z.infer<typeof ImportPlan>;

export const ImportStep = z.object({
  /** Bring in what is sound; rows in trouble are left out only when that is said. */
  leaveOutTroubled: z.boolean(),
});

export interface ImportTrouble {
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

/** An import as it stands; asked for again and again while it runs. */
export interface ImportView {
  readonly id: string;
  readonly state: 'reading' | 'checked' | 'storing' | 'done' | 'cancelled' | 'failed';
  /** 0–1 of the step under way. */
  readonly share: number;
  readonly rows: number;
  readonly girths: number;
  readonly tapings: number;
  readonly clients: number;
  readonly troubles: readonly ImportTrouble[];
  /** All of them; the list holds the first. */
  readonly troubleCount: number;
  /** A few of the tapings, to look at before anything is stored. */
  readonly sample: readonly {
    readonly client: string;
    readonly date: string;
    readonly limb: string;
    readonly points: number;
    readonly excessMl: number | null;
  }[];
  readonly message: string;
}
