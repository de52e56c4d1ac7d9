import { z } from 'zod';
import { dateOrders } from '../core/calendar/read-date';
import { personRoles } from '../core/exchange/people-rows';
import { ImportTrouble } from './imports';

const column = z.number().int().min(0).max(200);

/** How a file of people is read. Cards say themselves what they hold: columns are for tables. */
export const ClientImportPlan = z.object({
  /** As the file is called, to know it again later. */
  file: z.string().trim().max(200).default(''),
  delimiter: z.string().max(1).default(''),
  hasHead: z.boolean().default(true),
  columns: z.partialRecord(z.enum(personRoles), column).default({}),
  dateOrder: z.enum(dateOrders),
});
export type ClientImportPlan = z.infer<typeof ClientImportPlan>;

/** What becomes of somebody who is on record already: nothing, what is missing there is added, or a second record. */
export const doubleWays = ['leave-out', 'complete', 'add'] as const;
export const DoubleWay = z.enum(doubleWays);
export type DoubleWay = z.infer<typeof DoubleWay>;

export const ClientImportStep = z.object({
  /** Bring in what is sound; rows in trouble are left out only when that is said. */
  leaveOutTroubled: z.boolean(),
  doubles: DoubleWay.default('leave-out'),
  /** Rows that are not to be treated as the others. */
  apart: z
    .array(z.object({ row: z.number().int().positive(), way: DoubleWay }))
    .max(500)
    .default([]),
});
export type ClientImportStep = z.infer<typeof ClientImportStep>;

/** A row of somebody who is on record already, or stands in the file twice. */
export const ImportDouble = z.object({
  row: z.number(),
  name: z.string(),
  bornOn: z.string().nullable(),
  /** What makes one think so, in words. */
  why: z.string(),
  /** Who it is on record; null: an earlier row of the same file. */
  known: z.object({ id: z.number(), name: z.string(), bornOn: z.string().nullable() }).nullable(),
  earlierRow: z.number().nullable(),
  /** What the record would gain, in words; empty when nothing. */
  gains: z.array(z.string()).readonly(),
});
export type ImportDouble = z.infer<typeof ImportDouble>;

/** An import of people as it stands; asked for again and again while it runs. */
export const ClientImportView = z.object({
  id: z.string(),
  state: z.enum(['reading', 'checked', 'storing', 'done', 'undoing', 'undone', 'cancelled', 'failed']),
  /** 0–1 of the step under way. */
  share: z.number(),
  rows: z.number(),
  /** Nobody like them is on record. */
  fresh: z.number(),
  doubles: z.array(ImportDouble).readonly(),
  /** All of them; the lists hold the first. */
  doubleCount: z.number(),
  /** Of those on record, so many would gain something by being completed. */
  gainCount: z.number(),
  troubles: z.array(ImportTrouble).readonly(),
  troubleCount: z.number(),
  /** A few of them, to look at before anything is stored. */
  sample: z
    .array(
      z.object({
        ...{ name: z.string(), bornOn: z.string().nullable(), phone: z.string(), email: z.string() },
        address: z.string(),
      }),
    )
    .readonly(),
  /** What was done: people added, records completed; when undone, who was left because something was done with them. */
  added: z.number(),
  completed: z.number(),
  kept: z.array(z.string()).readonly(),
  keptCount: z.number(),
  /** By which it is taken back later. */
  key: z.number().nullable(),
  message: z.string(),
});
export type ClientImportView = z.infer<typeof ClientImportView>;

/** An import of the past. */
export const PastImport = z.object({
  key: z.number(),
  date: z.string(),
  by: z.string(),
  file: z.string(),
  added: z.number(),
  completed: z.number(),
  isUndone: z.boolean(),
});
export type PastImport = z.infer<typeof PastImport>;
