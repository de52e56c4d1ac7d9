import { consentParagraphs } from '../../catalogue/screening/consent.data';
import type { AskView } from '../../contracts/ask-views';
import type { Db } from '../db/connection';
import { insertWording, latestWording } from './screening.repository';

/** The house's wording of the consent: its own, or the one that ships. */
export const readWording = async (db: Db): Promise<AskView['wording']> =>
  (await latestWording(db)) ?? { version: 1, paragraphs: consentParagraphs };

/** Puts the wording that ships on record as the first version, as soon as something refers to it. */
export async function keepFirstWording(db: Db, now: string): Promise<void> {
  if (!(await latestWording(db))) await insertWording(db, consentParagraphs, null, now);
}
