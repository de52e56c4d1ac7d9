import { houseWords } from './house.words';
import type { PersonView } from '../../contracts/house-views';

export const roleWords: Readonly<Record<PersonView['role'], string>> = {
  owner: houseWords.ownerEverythingAndTheHouseItself,
  therapist: houseWords.therapistAllRecords,
  assistant: houseWords.assistantTheDayAndContactData,
};
