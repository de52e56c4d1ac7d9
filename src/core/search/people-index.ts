import { mailOf, numberOf, type Recognised, wordsOf } from './doubles';
import { nearness } from './nearness';

/** Why two records are taken for one person’s, the surest first. A number or an address alone is shared by families. */
export type Sameness = 'name-and-birthday' | 'name-and-phone' | 'name-and-email' | 'name';

export interface Same<K> {
  readonly key: K;
  readonly why: Sameness;
}

const order: readonly Sameness[] = ['name-and-birthday', 'name-and-phone', 'name-and-email', 'name'];

interface Known<K> {
  readonly key: K;
  /** In plain letters: the same text as the mark of the name, which costs nothing then. */
  readonly plain: string;
  readonly bornOn: string | null;
}

/**
 * People by what they are recognised by, so that one is found among hundreds of thousands without comparing each with
 * each. A name may be misspelt where birthday, number or address agree; alone it counts only as it is written, and not
 * where two birthdays differ.
 */
export class PeopleIndex<K> {
  readonly #byMark = new Map<string, Known<K> | Known<K>[]>();

  add(person: Recognised, key: K): void {
    const known: Known<K> = { key, plain: wordsOf(person.name).join(' '), bornOn: person.bornOn };
    for (const { mark } of marksOf(person)) {
      const there = this.#byMark.get(mark);
      // Most marks are of one person: a list for each would take three times the memory.
      if (there === undefined) this.#byMark.set(mark, known);
      else if (Array.isArray(there)) there.push(known);
      else this.#byMark.set(mark, [there, known]);
    }
  }

  /** @returns the one who is most surely the same person, the first added where several are; undefined for nobody */
  find(person: Recognised): Same<K> | undefined {
    const words = wordsOf(person.name);
    if (words.length === 0) return undefined;
    for (const { mark, why } of marksOf(person)) {
      const there = this.#byMark.get(mark) ?? [];
      for (const known of Array.isArray(there) ? there : [there])
        if (isSamePerson(words, person.bornOn, known, why)) return { key: known.key, why };
    }
    return undefined;
  }
}

function isSamePerson<K>(words: readonly string[], bornOn: string | null, known: Known<K>, why: Sameness): boolean {
  const isOtherBirthday = bornOn !== null && known.bornOn !== null && bornOn !== known.bornOn;
  if (why === 'name') return !isOtherBirthday;
  // A father and a son may share name, number and house; a slip in the birthday is for people to see.
  if (why !== 'name-and-birthday' && isOtherBirthday) return false;
  const others = known.plain.split(' ').filter(Boolean);
  return isNear(words, others) || isNear(others, words);
}

const isNear = (words: readonly string[], others: readonly string[]) =>
  words.length > 0 && words.every((word) => nearness(word, others) !== undefined);

function marksOf({
  name,
  bornOn,
  phone,
  email,
}: Recognised): readonly { readonly mark: string; readonly why: Sameness }[] {
  return [
    { why: 'name-and-birthday' as const, mark: bornOn ?? '' },
    { why: 'name-and-phone' as const, mark: numberOf(phone) },
    { why: 'name-and-email' as const, mark: mailOf(email) },
    { why: 'name' as const, mark: wordsOf(name).join(' ') },
  ]
    .filter(({ mark }) => mark !== '')
    .map(({ mark, why }) => ({ why, mark: `${order.indexOf(why)} ${mark}` }));
}
