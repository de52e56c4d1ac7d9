/** `1 visit`, `2 visits`: a number with what it counts. */
export const countOf = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** `once`, `twice`, `3 times`. */
export const timesText = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
