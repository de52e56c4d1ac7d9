import type { Seconds } from '../quantities';
import { signInSays } from './sign-in.says';

/** Guessing gets slower: the first tries are free, then each failure doubles the wait. */

const firstWaitSeconds = 5;
const longestWaitSeconds = 15 * 60;
/** Failures that are older count no longer. */
export const forgottenSeconds: Seconds = 60 * 60;

/** Seconds to wait after so many failures in a row; 0 while tries are free. */
export function waitAfterFailures(failures: number, freeTries = 3): number {
  if (failures < freeTries) return 0;
  return Math.min(longestWaitSeconds, firstWaitSeconds * 2 ** Math.min(20, failures - freeTries));
}

/** What tries are counted by. */
export interface Guard {
  readonly key: string;
  readonly freeTries: number;
  /** Whether a right password takes its failures away; those of an address stay, whoever came in from there. */
  readonly isForgiven: boolean;
}

/**
 * A name is guarded from each address by itself, so that nobody can be kept out by somebody else's guessing; an address
 * and a name as a whole bear more. On a device on which this person has signed in before only that device counts.
 * Names that do not exist are guarded the same: nothing tells whether they do.
 */
export function guardsOf(login: string, address: string, knownDevice: string | undefined): readonly Guard[] {
  if (knownDevice !== undefined) return [{ key: `device ${knownDevice}`, freeTries: 5, isForgiven: true }];
  return [
    { key: `name ${login} from ${address}`, freeTries: 3, isForgiven: true },
    { key: `name ${login}`, freeTries: 12, isForgiven: true },
    { key: `from ${address}`, freeTries: 20, isForgiven: false },
  ];
}

/** Wrong PINs after which a session ends and the password is asked for again. */
export const mostWrongPins = 5;

/** What is wrong with a new password, in words; undefined when it will do. What is often tried is looked up elsewhere. */
export function passwordTrouble(password: string, name: string): string | undefined {
  if (password.length < 10) return signInSays.useAtLeast10CharactersA;
  if (password.length > 200) return signInSays.keepThePasswordWithin200Characters;
  const letters = password.toLowerCase();
  if (new Set(letters).size < 5) return signInSays.useMoreDifferentCharacters;
  const parts = name
    .toLowerCase()
    .split(/\s+/)
    .filter((part) => part.length > 2);
  if (parts.some((part) => letters.includes(part))) return signInSays.doNotUseYourNameIn;
  return undefined;
}

/** Columns of the keys, and shapes that thumbs draw on them. */
const drawnPins = [
  '2580',
  '0852',
  '1470',
  '3690',
  '1593',
  '3571',
  '1397',
  '7139',
  '1379',
  '9731',
  '2468',
  '8642',
  '1357',
  '9753',
];

/** What is wrong with a new PIN, in words; undefined when it will do. */
export function pinTrouble(pin: string): string | undefined {
  if (!/^\d{4,8}$/.test(pin)) return signInSays.aPinIs4To8;
  const isRow = '01234567890123'.includes(pin) || '98765432109876'.includes(pin);
  const half = pin.slice(0, Math.ceil(pin.length / 2));
  const isRepeated = new Set(pin).size <= 2 || (pin.length % 2 === 0 && pin === half + half);
  const isMirrored = pin.length > 4 && pin === [...pin].reverse().join('') && new Set(pin).size < 4;
  const isYear = /^(19\d\d|20[0-4]\d)$/.test(pin);
  const isDay = /^(0[1-9]|[12]\d|3[01])(0[1-9]|1[0-2])((19|20)\d\d)$/.test(pin);
  if (isRow || isRepeated || isMirrored || isYear || isDay || drawnPins.includes(pin))
    return signInSays.thatPinIsAmongTheFirst;
  return undefined;
}
