/** A field whose value is not the same in two documents; paths are written with dots. */
export interface DocumentDifference {
  readonly field: string;
  readonly before: unknown;
  readonly after: unknown;
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What differs between two documents, field by field. Lists are compared as wholes where their lengths differ, so that
 * one step put in does not change all that follow.
 */
export function differencesBetween(before: unknown, after: unknown, path = ''): readonly DocumentDifference[] {
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  if (isObject(before) && isObject(after)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    return keys.flatMap((key) => differencesBetween(before[key], after[key], at(key)));
  }
  if (Array.isArray(before) && Array.isArray(after) && before.length === after.length)
    return before.flatMap((value: unknown, i) => differencesBetween(value, after[i], at(i)));
  return JSON.stringify(before) === JSON.stringify(after) ? [] : [{ field: path, before, after }];
}
