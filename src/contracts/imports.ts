import { z } from 'zod';
import { columnRoles } from '../core/exchange/measure-rows';
import { dateOrders } from '../core/calendar/read-date';
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

export const ImportTrouble = z.object({ row: z.number(), column: z.string(), message: z.string() });
export type ImportTrouble = z.infer<typeof ImportTrouble>;

/** An import as it stands; asked for again and again while it runs. */
export const ImportView = z.object({
  id: z.string(),
  state: z.enum(['reading', 'checked', 'storing', 'done', 'cancelled', 'failed']),
  /** 0–1 of the step under way. */
  share: z.number(),
  rows: z.number(),
  girths: z.number(),
  tapings: z.number(),
  clients: z.number(),
  troubles: z.array(ImportTrouble).readonly(),
  /** All of them; the list holds the first. */
  troubleCount: z.number(),
  /** A few of the tapings, to look at before anything is stored. */
  sample: z
    .array(
      z.object({
        client: z.string(),
        date: z.string(),
        limb: z.string(),
        points: z.number(),
        excessMl: z.number().nullable(),
      }),
    )
    .readonly(),
  message: z.string(),
});
export type ImportView = z.infer<typeof ImportView>;
