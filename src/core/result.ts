/** A field of the caller's input that needs attention; `path` is written with dots, as in `findings.0.side`. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}

/** What a person can get wrong comes back as a value, never as a throw. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly errors: readonly FieldError[] };

/** Use in the last branch of a `switch`: a new member then fails to compile until it has an answer. */
export function assertNever(value: never): never {
  throw new RangeError(`unexpected value ${JSON.stringify(value)}`);
}
