import type { ClientImportPlan } from '../../contracts/client-imports';
import { ClientInput } from '../../contracts/record';
import { type PersonRead, type PersonRole, personRoles, readPerson } from '../../core/exchange/people-rows';
import { languageIds } from '../../core/language';
import { readRows } from '../exchange/read-rows';
import { isVCards, readVCards } from '../exchange/read-vcards';
import { clientsAnswers } from './clients.answers';

export interface RowTrouble {
  readonly column: string;
  readonly message: string;
}

/** A row of a table as the spreadsheet counts it, or a card by the line on which it begins. */
export type PersonRow = {
  readonly row: number;
  /** How much of the text has been read, in characters. */
  readonly characters: number;
} & (
  { readonly person: ClientInput; readonly trouble?: never } | { readonly person?: never; readonly trouble: RowTrouble }
);

/** The people of a table or of vCards, each checked as if they had been typed. Empty lines are left aside. */
export const readPeople = (text: string, plan: ClientImportPlan): Generator<PersonRow> =>
  isVCards(text) ? readCards(text) : readPeopleOfTable(text, plan);

function* readPeopleOfTable(text: string, plan: ClientImportPlan): Generator<PersonRow> {
  for (const { row, characters, head, cells } of readRows(text, plan)) {
    const columnOf = (role: PersonRole) => head[plan.columns[role] ?? -1] ?? role;
    const read = readPerson(cells, plan);
    if (read.ok) yield { row, characters, ...checked(read.person, columnOf) };
    else yield { row, characters, trouble: { column: columnOf(read.role), message: read.message } };
  }
}

function* readCards(text: string): Generator<PersonRow> {
  // Cards do not tell how long they are; the share is of their lines, and most lines are short.
  let characters = 0;
  for (const card of readVCards(text)) {
    characters = Math.min(text.length, card.line * 24);
    if (card.ok) yield { row: card.line, characters, ...checked(card.person, (role) => role) };
    else yield { row: card.line, characters, trouble: { column: clientsAnswers.card, message: card.message } };
  }
}

function checked(
  read: PersonRead,
  columnOf: (role: PersonRole) => string,
): { readonly person: ClientInput } | { readonly trouble: RowTrouble } {
  // A language that the house does not speak is none: the client reads as everybody does.
  const language = languageIds.find((id) => id === read.language) ?? '';
  const result = ClientInput.safeParse({ ...read, language });
  if (result.success) return { person: result.data };
  const [issue] = result.error.issues;
  const field = String(issue?.path[0] ?? '');
  const role = roleOf(field);
  return { trouble: { column: role ? columnOf(role) : field, message: issue?.message ?? '' } };
}

const roleOf = (field: string): PersonRole | undefined =>
  field === 'bornOn' ? 'born' : personRoles.find((role) => role === field);
