import type { PersonView } from '../../contracts/house-views';

export const roleWords: Readonly<Record<PersonView['role'], string>> = {
  owner: 'Owner: everything, and the house itself',
  therapist: 'Therapist: all records',
  assistant: 'Assistant: the day and contact data only',
};
