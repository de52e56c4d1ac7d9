/** `1 visit`, `2 visits`: a number with what it counts. */
export const countOf = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
