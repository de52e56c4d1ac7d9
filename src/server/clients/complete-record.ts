import type { ClientInput } from '../../contracts/record';
import { clientsAnswers } from './clients.answers';

const fields = [
  ...(['bornOn', 'phone', 'email', 'address', 'emergencyContact', 'heightCm', 'language', 'medicines'] as const),
  'note',
] as const;
type Field = (typeof fields)[number];

const isEmpty = (value: string | number | null) => value === null || value === '';

/** What a record would gain from another one of the same person; what it holds already stays as it is. */
export const gainsOf = (record: ClientInput, read: ClientInput): readonly Field[] =>
  fields.filter((field) => isEmpty(record[field]) && !isEmpty(read[field]));

/** The record with what it lacked. */
export const completeRecord = (record: ClientInput, read: ClientInput): ClientInput => ({
  ...record,
  ...Object.fromEntries(gainsOf(record, read).map((field) => [field, read[field]])),
});

export const gainWords: Readonly<Record<Field, string>> = {
  bornOn: clientsAnswers.birthday,
  phone: clientsAnswers.phone,
  email: clientsAnswers.eMail,
  address: clientsAnswers.address,
  emergencyContact: clientsAnswers.emergencyContact,
  heightCm: clientsAnswers.height,
  language: clientsAnswers.language,
  medicines: clientsAnswers.medicines,
  note: clientsAnswers.note,
};
