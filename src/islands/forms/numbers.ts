/** A number as it is typed, with point or comma; empty is none, and what is no number stays for the house to refuse. */
export function typedNumber(text: string): number | null {
  const typed = text.trim().replace(',', '.');
  return typed === '' ? null : Number(typed);
}
