import type { RequestError } from '../api';

export interface PlacedErrors {
  /** Field and message, in the order in which the house found them; one for each field. */
  readonly atFields: readonly (readonly [field: string, message: string])[];
  /** What belongs to no field that is shown. */
  readonly beyond: string | undefined;
}

interface Names {
  readonly houseNames?: Readonly<Record<string, string>>;
  readonly under?: string | undefined;
}

/**
 * Where the refusals of the house belong in a form: at the field of their path, at the one that the form has for it
 * under another name, or beyond all fields. None is lost.
 * @param fields paths of the form's fields: `name`, `likes.sides`
 * @param how.houseNames fields of the form by the name that the house uses
 * @param how.under where the house has the fields: `value` for `value.name`
 */
export function placeErrors(
  refusal: RequestError,
  fields: readonly string[],
  { houseNames = {}, under }: Names = {},
): PlacedErrors {
  const { errors } = refusal.problem;
  if (!errors || errors.length === 0) return { atFields: [], beyond: refusal.message };
  const atFields = new Map<string, string>();
  const beyond: string[] = [];
  for (const { path, message } of errors) {
    const inForm = under !== undefined && path.startsWith(`${under}.`) ? path.slice(under.length + 1) : path;
    const field = fieldOf(inForm, fields, houseNames);
    if (field === undefined) beyond.push(message);
    else if (!atFields.has(field)) atFields.set(field, message);
  }
  return { atFields: [...atFields], beyond: beyond.length > 0 ? beyond.join(' ') : undefined };
}

/** A path may lead deeper than the field does: `hours.3.0` belongs to `hours`. */
function fieldOf(path: string, fields: readonly string[], houseNames: Readonly<Record<string, string>>) {
  const parts = path.split('.');
  for (let length = parts.length; length > 0; length -= 1) {
    const start = parts.slice(0, length).join('.');
    const field = houseNames[start] ?? fields.find((one) => one === start);
    if (field !== undefined) return field;
  }
  return undefined;
}
