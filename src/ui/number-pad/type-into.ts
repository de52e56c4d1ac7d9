/** A key of the pad: a digit, the point, a half, or what takes the last digit back. */
export type PadKey = '0' | '1' | '2' | '3' | '4' | '5' | '6' | '7' | '8' | '9' | '.' | '½' | 'back';

interface Field {
  readonly value: string;
  readonly selectionStart: number | null;
  readonly selectionEnd: number | null;
}

/**
 * What stands in a field after a key of the pad: what is selected is replaced, a second point is not taken, and a half
 * makes “.5” of a whole number.
 */
export function afterKey({ value, selectionStart, selectionEnd }: Field, key: PadKey): string {
  const start = selectionStart ?? value.length;
  const end = selectionEnd ?? value.length;
  const isReplaced = end > start;
  const [before, after] = [value.slice(0, start), value.slice(end)];
  if (key === 'back') return isReplaced ? before + after : before.slice(0, -1) + after;
  const rest = isReplaced ? before + after : value;
  if (key === '½') return isReplaced ? '0.5' : value === '' ? '0.5' : value.includes('.') ? value : `${value}.5`;
  if (key === '.' && rest.includes('.')) return value;
  const typed = key === '.' && before === '' ? '0.' : key;
  return before + typed + after;
}

/** Writes into a field as typing does, so that its view hears of it. */
export function writeInto(input: HTMLInputElement, text: string): void {
  input.setRangeText(text, 0, input.value.length, 'end');
  input.dispatchEvent(new Event('input', { bubbles: true }));
}
