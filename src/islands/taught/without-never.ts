/** What stands behind the word `Never`: the library’s sentences sometimes begin with it. */
export function withoutNever(never: string): string {
  const rest = never.replace(/^never /i, '');
  return rest.charAt(0).toUpperCase() + rest.slice(1);
}
