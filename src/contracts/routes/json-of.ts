import { z } from 'zod';

/** A value of the address that is JSON. */
export function jsonOf<S extends z.ZodType>(schema: S, trouble: string) {
  return z
    .string()
    .default('{}')
    .transform((text, context): unknown => {
      try {
        return JSON.parse(text);
      } catch {
        context.addIssue({ code: 'custom', message: trouble });
        return z.NEVER;
      }
    })
    .pipe(schema);
}
