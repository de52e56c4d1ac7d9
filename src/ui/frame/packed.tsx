import { type ComponentType, useMemo } from 'react';

declare const packedProps: unique symbol;

/** Props of an island as one text: what goes into the page is written once, and read by the browser's own JSON reader. */
export type Packed<P> = string & { readonly [packedProps]: P };

/** Stands for nothing that JSON writes as it is. */
const between = '\u0000';

/**
 * Quotation marks and backticks change places: a page writes the first as six characters each, the second as one. What
 * has changed places twice is as it was.
 */
const swapped = (text: string) => text.replaceAll('`', between).replaceAll('"', '`').replaceAll(between, '"');

/** Marks a table; JSON writes it with six characters, and no name of a field ever holds it. */
const table = '\u0001';
const leastRows = 4;

/** A list of records that all have the same fields goes as a table: their names once, then their values. */
function laid(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if (!Array.isArray(value)) return Object.fromEntries(Object.entries(value).map(([name, own]) => [name, laid(own)]));
  const names = value.length < leastRows ? undefined : namesOf(value);
  if (!names) return typeof value[0] === 'object' ? value.map(laid) : value;
  return { [table]: names, rows: value.map((row: Record<string, unknown>) => names.map((name) => laid(row[name]))) };
}

function namesOf(rows: readonly unknown[]): readonly string[] | undefined {
  const [first, ...others] = rows;
  if (!isRecord(first)) return undefined;
  const names = Object.keys(first);
  const isAlike = (row: unknown) => {
    if (!isRecord(row)) return false;
    const own = Object.keys(row);
    return own.length === names.length && names.every((name, i) => own[i] === name && row[name] !== undefined);
  };
  return names.length > 0 && isAlike(first) && others.every(isAlike) ? names : undefined;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** For the browser’s own JSON reader, which calls it from the inside out: tables become lists of records again. */
function raised(_name: string, value: unknown): unknown {
  if (!isRecord(value) || !(table in value)) return value;
  const { [table]: names, rows } = value as { [table]: readonly string[]; rows: readonly (readonly unknown[])[] };
  return rows.map((row) => Object.fromEntries(names.map((name, i) => [name, row[i]])));
}

/** What was packed last: the server draws a page from it right away, and need not read its own writing. */
const fresh: { readonly packed: string; readonly props: object }[] = [];
const mostFresh = 8;

/** @param props plain data, as it came out of a schema */
export function pack<P extends object>(props: P): Packed<P> {
  const packed = swapped(JSON.stringify(laid(props))) as Packed<P>;
  if (fresh.push({ packed, props }) > mostFresh) fresh.shift();
  return packed;
}

export function unpack<P extends object>(packed: Packed<P>): P {
  const own = fresh.find((one) => one.packed === packed);
  return (own?.props ?? JSON.parse(swapped(packed), raised)) as P;
}

/** A view as the island that a page shows: its props come packed. */
export function unpacked<P extends object>(View: ComponentType<P>) {
  return function Unpacked({ packed }: { readonly packed: Packed<P> }) {
    const props = useMemo(() => unpack(packed), [packed]);
    return <View {...props} />;
  };
}
