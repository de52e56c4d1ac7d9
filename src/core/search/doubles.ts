import { nearness, plainLetters } from './nearness';

/** What a person is recognised by. Nothing of it need be known. */
export interface Recognised {
  readonly name: string;
  /** YYYY-MM-DD */
  readonly bornOn: string | null;
  readonly phone: string;
  readonly email: string;
}

/** What makes one think that two records are of one person, the strongest reason first. */
export type Likeness = 'phone' | 'email' | 'name-and-birthday' | 'name' | 'near-name-and-birthday';

const fewestDigits = 5;
const digitsOf = (phone: string) => [...phone].filter((sign) => sign >= '0' && sign <= '9').join('');
const wordsOf = (name: string) => plainLetters(name).split(' ').filter(Boolean);

/** @returns why two people may be one, or undefined: a birthday alone is shared by many */
export function likenessOf(one: Recognised, other: Recognised): Likeness | undefined {
  const number = digitsOf(one.phone);
  if (number.length >= fewestDigits && digitsOf(other.phone) === number) return 'phone';
  const address = one.email.trim().toLowerCase();
  if (address !== '' && other.email.trim().toLowerCase() === address) return 'email';
  const [words, others] = [wordsOf(one.name), wordsOf(other.name)];
  if (words.length === 0) return undefined;
  const isSameBirthday = one.bornOn !== null && other.bornOn === one.bornOn;
  if (words.join(' ') === others.join(' ')) return isSameBirthday ? 'name-and-birthday' : 'name';
  const isNear = words.every((word) => nearness(word, others) !== undefined);
  return isSameBirthday && isNear ? 'near-name-and-birthday' : undefined;
}
