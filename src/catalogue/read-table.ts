import { z } from 'zod';

/** A table that ships, by its schema: a bad one stops the start, with the table and the field in the message. */
export function readTable<S extends z.ZodType>(name: string, schema: S, table: unknown): z.infer<S> {
  const parsed = schema.safeParse(table);
  if (parsed.success) return parsed.data;
  throw new Error(`catalogue ${name}: ${z.prettifyError(parsed.error)}`);
}

/** The same for a list of rows. */
export const readRows = <S extends z.ZodType>(name: string, row: S, rows: unknown): readonly z.infer<S>[] =>
  readTable(name, z.array(row), rows);
