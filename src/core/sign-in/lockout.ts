/** Guessing gets slower: the first tries are free, then each failure doubles the wait. */

const freeTries = 3;
const firstWaitSeconds = 5;
const longestWaitSeconds = 15 * 60;

/** Seconds to wait after so many failures in a row; 0 while tries are free. */
export function waitAfterFailures(failures: number): number {
  if (failures < freeTries) return 0;
  return Math.min(longestWaitSeconds, firstWaitSeconds * 2 ** (failures - freeTries));
}

/** Wrong PINs after which a session ends and the password is asked for again. */
export const mostWrongPins = 5;

/** What is wrong with a new password, in words; undefined when it will do. */
export function passwordTrouble(password: string, name: string): string | undefined {
  if (password.length < 10) return 'Use at least 10 characters; a short sentence is easy to remember.';
  if (password.length > 200) return 'Keep the password within 200 characters.';
  const letters = password.toLowerCase();
  if (new Set(letters).size < 5) return 'Use more different characters.';
  const parts = name
    .toLowerCase()
    .split(/\s+/)
    .filter((part) => part.length > 2);
  if (parts.some((part) => letters.includes(part))) return 'Do not use your name in it.';
  return undefined;
}

/** What is wrong with a new PIN, in words; undefined when it will do. */
export function pinTrouble(pin: string): string | undefined {
  if (!/^\d{4,8}$/.test(pin)) return 'A PIN is 4 to 8 digits.';
  if (new Set(pin).size === 1 || '0123456789'.includes(pin) || '9876543210'.includes(pin))
    return 'That PIN is too easy to guess: no rows and no repeats.';
  return undefined;
}
