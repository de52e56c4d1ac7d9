import type { HouseFactsInput } from '../../contracts/home';
import type { Db } from '../db/connection';
import type { TherapistView } from '../../contracts/people-views';
import { findHouse, type House, listBookable, listStaff } from './people.repository';
import { changeSettings } from './settings.repository';

/** What the house is called and where it is rung. @returns undefined before it was set up */
export const readHouseFacts = (db: Db): Promise<House | undefined> => findHouse(db);

/** Whom clients ring from now on, and in which language they read. */
export const changeHouseFacts = (db: Db, facts: HouseFactsInput): Promise<void> => changeSettings(db, facts);

/** Who may be gone in as by one click, in the demo house. */
export async function readDoor(
  db: Db,
): Promise<readonly { readonly id: number; readonly name: string; readonly title: string }[]> {
  const staff = await listStaff(db);
  return staff.filter(({ leftAt }) => !leftAt).map(({ id, name, title }) => ({ id, name, title }));
}

/** Who works with clients here now. */
export const readTherapists = (db: Db): Promise<readonly TherapistView[]> => listBookable(db);
