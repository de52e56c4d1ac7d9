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

/** A number as it is compared; '' where it is too short to tell anybody from another. */
export function numberOf(phone: string): string {
  const digits = [...phone].filter((sign) => sign >= '0' && sign <= '9').join('');
  return digits.length < fewestDigits ? '' : digits;
}

/** The words of a name as they are compared. */
export const wordsOf = (name: string): readonly string[] => plainLetters(name).split(/\s+/).filter(Boolean);

/** An address as it is compared. */
export const mailOf = (email: string): string => email.trim().toLowerCase();

/** @returns why two people may be one, or undefined: a birthday alone is shared by many */
export function likenessOf(one: Recognised, other: Recognised): Likeness | undefined {
  const number = numberOf(one.phone);
  if (number !== '' && numberOf(other.phone) === number) return 'phone';
  const address = mailOf(one.email);
  if (address !== '' && mailOf(other.email) === address) return 'email';
  const [words, others] = [wordsOf(one.name), wordsOf(other.name)];
  if (words.length === 0) return undefined;
  const isSameBirthday = one.bornOn !== null && other.bornOn === one.bornOn;
  if (words.join(' ') === others.join(' ')) return isSameBirthday ? 'name-and-birthday' : 'name';
  const isNear = words.every((word) => nearness(word, others) !== undefined);
  return isSameBirthday && isNear ? 'near-name-and-birthday' : undefined;
}
