/** Letters and digits that are not taken for each other, on paper or over the telephone: no 0 O, 1 I L, 5 S, 2 Z, U V. */
const letters = '346789ABCDEFGHJKMNPQRTWXY';
const groups = 4;
const groupLetters = 4;

/** Random bytes that a code takes. */
export const codeBytes = 2 * groups * groupLetters;

/**
 * A code to be written down: four groups of four, 74 bits.
 * @param random at least `codeBytes` random bytes, two for each letter
 */
export function codeOf(random: Uint8Array): string {
  if (random.length < codeBytes) throw new RangeError(`a code takes ${codeBytes} random bytes`);
  const all = Array.from({ length: groups * groupLetters }, (_, i) => {
    const value = 256 * (random[2 * i] ?? 0) + (random[2 * i + 1] ?? 0);
    return letters[value % letters.length];
  });
  return Array.from({ length: groups }, (_, g) => all.slice(g * groupLetters, (g + 1) * groupLetters).join('')).join(
    '-',
  );
}

/** What somebody typed, as it is compared: without spaces and dashes, in capitals. */
export const normalCode = (typed: string): string => typed.toUpperCase().replace(/[^0-9A-Z]/g, '');

/** Six digits from something that makes them anew each half minute; anything else may be a recovery code. */
export const isTimeCode = (typed: string): boolean => /^\d{6}$/.test(typed.replace(/\s/g, ''));
