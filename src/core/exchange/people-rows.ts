import { type DateOrder, readDate } from '../calendar/read-date';
import { exchangeSays } from './exchange.says';
import { unguarded } from './unguarded';

/** What a column of a table of people may hold. */
export const personRoles = [
  ...(['name', 'given', 'family', 'born', 'phone', 'email', 'address', 'street', 'postcode', 'town'] as const),
  ...(['country', 'emergencyContact', 'language', 'heightCm', 'medicines', 'note'] as const),
] as const;
export type PersonRole = (typeof personRoles)[number];

/** How a table of people is read: role → index of its column, from 0. */
export interface PeoplePlan {
  readonly columns: Readonly<Partial<Record<PersonRole, number>>>;
  readonly dateOrder: DateOrder;
}

/** A person as a table or a card tells of them; what it does not tell is empty. */
export interface PersonRead {
  readonly name: string;
  /** YYYY-MM-DD */
  readonly bornOn: string | null;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly emergencyContact: string;
  readonly language: string;
  readonly heightCm: number | null;
  readonly medicines: string;
  readonly note: string;
}

export const nobodyRead: PersonRead = {
  ...{ name: '', bornOn: null, phone: '', email: '', address: '', emergencyContact: '' },
  ...{ language: '', heightCm: null, medicines: '', note: '' },
};

export type PersonResult =
  | { readonly ok: true; readonly person: PersonRead }
  | { readonly ok: false; readonly role: PersonRole; readonly message: string };

const heads: Readonly<Record<PersonRole, readonly string[]>> = {
  name: ['name', 'full name', 'client', 'client name', 'guest', 'person'],
  given: ['given name', 'first name', 'forename', 'given', 'first'],
  family: ['family name', 'last name', 'surname', 'family', 'last'],
  born: ['born', 'born on', 'birthday', 'date of birth', 'birth date', 'birthdate', 'dob'],
  phone: ['phone', 'phone number', 'mobile', 'telephone', 'tel', 'cell'],
  email: ['e-mail', 'email', 'mail', 'e mail', 'email address', 'e-mail address'],
  address: ['address', 'home address', 'postal address'],
  street: ['street', 'address line 1', 'street address'],
  postcode: ['postcode', 'post code', 'postal code', 'zip', 'zip code'],
  town: ['town', 'city', 'place'],
  country: ['country'],
  emergencyContact: ['emergency contact', 'emergency'],
  language: ['language', 'reads in'],
  heightCm: ['height cm', 'height'],
  medicines: ['medicines', 'medication', 'medicine'],
  note: ['note', 'notes', 'remarks', 'comment', 'comments'],
};

/** The order in which columns are claimed: what is told in parts before what is told whole. */
export function guessPeopleColumns(head: readonly string[]): PeoplePlan['columns'] {
  const plain = head.map((text) =>
    text
      .trim()
      .toLowerCase()
      .replace(/[()[\]_:]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  const columns: Partial<Record<PersonRole, number>> = {};
  for (const role of personRoles) {
    const at = plain.findIndex((text, i) => heads[role].includes(text) && !Object.values(columns).includes(i));
    if (at >= 0) columns[role] = at;
  }
  return columns;
}

/** What a plan lacks before people can be read, in words; empty when nothing. */
export function missingForPeople({ columns }: Pick<PeoplePlan, 'columns'>): readonly string[] {
  const isNamed = (['name', 'given', 'family'] as const).some((role) => columns[role] !== undefined);
  return isNamed ? [] : [exchangeSays.whichColumnHoldsTheName];
}

/** Reads one row; whether its values are possible is for whoever stores them. */
export function readPerson(row: readonly string[], { columns, dateOrder }: PeoplePlan): PersonResult {
  const text = (role: PersonRole) => unguarded((row[columns[role] ?? -1] ?? '').trim());
  const bornOn = text('born') === '' ? null : readDate(text('born'), dateOrder);
  if (bornOn === undefined)
    return { ok: false, role: 'born', message: exchangeSays.isNoDateInTheOrder(text('born'), dateOrder) };
  const heightCm = text('heightCm') === '' ? null : heightOf(text('heightCm'));
  if (heightCm === undefined)
    return { ok: false, role: 'heightCm', message: exchangeSays.isNoHeight(text('heightCm')) };
  return {
    ok: true,
    person: {
      name: text('name') || joined([text('given'), text('family')], ' '),
      bornOn,
      phone: text('phone'),
      email: text('email'),
      address:
        text('address') ||
        joined([text('street'), joined([text('postcode'), text('town')], ' '), text('country')], ', '),
      emergencyContact: text('emergencyContact'),
      language: text('language').toLowerCase(),
      heightCm,
      medicines: text('medicines'),
      note: text('note'),
    },
  };
}

const joined = (parts: readonly string[], between: string) => parts.filter(Boolean).join(between);

/** Metres where it cannot be centimetres. */
function heightOf(text: string): number | undefined {
  const match = /^(\d{1,3}(?:[.,]\d{1,2})?)\s*(cm|m)?$/i.exec(text);
  if (!match) return undefined;
  const value = Number((match[1] ?? '').replace(',', '.'));
  return value < 3 ? Math.round(value * 100) : value;
}
