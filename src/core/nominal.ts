declare const kind: unique symbol;

/**
 * A plain string or number that says what it names or measures. A literal fits, and so does a value that says nothing;
 * one that says something else does not: a client's number is no visit's, a bath's degrees are no seconds.
 */
export type Nominal<Base extends string | number, Kind extends string> = Base & { readonly [kind]?: Kind };
