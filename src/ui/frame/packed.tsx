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

/** What was packed last: the server draws a page from it right away, and need not read its own writing. */
const fresh: { readonly packed: string; readonly props: object }[] = [];
const mostFresh = 8;

/** @param props plain data, as it came out of a schema */
export function pack<P extends object>(props: P): Packed<P> {
  const packed = swapped(JSON.stringify(props)) as Packed<P>;
  if (fresh.push({ packed, props }) > mostFresh) fresh.shift();
  return packed;
}

export function unpack<P extends object>(packed: Packed<P>): P {
  const own = fresh.find((one) => one.packed === packed);
  return (own?.props ?? JSON.parse(swapped(packed))) as P;
}

/** A view as the island that a page shows: its props come packed. */
export function unpacked<P extends object>(View: ComponentType<P>) {
  return function Unpacked({ packed }: { readonly packed: Packed<P> }) {
    const props = useMemo(() => unpack(packed), [packed]);
    return <View {...props} />;
  };
}
