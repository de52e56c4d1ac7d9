import { clientWordsOf } from '../../catalogue/client-words/client-words';
import { consentParagraphs } from '../../catalogue/screening/consent.data';
import { languageIds, type LanguageId } from '../../core/language';
import type { Db } from '../db/connection';
import { type ConsentWording, insertWording, latestWording } from './screening.repository';

const shipped: ConsentWording = {
  version: 1,
  paragraphs: consentParagraphs,
  others: Object.fromEntries(
    languageIds.filter((id) => id !== 'en').map((id) => [id, clientWordsOf(id).consent.paragraphs]),
  ),
};

/** What a client reads before signing. */
export interface WordingToRead {
  readonly version: number;
  /** The house's own where it has not put its wording into the one that was asked for. */
  readonly language: LanguageId;
  readonly paragraphs: readonly string[];
}

/** The house's wording of the consent, in all its languages: its own, or the one that ships. */
export const readWording = async (db: Db): Promise<ConsentWording> => {
  const own = await latestWording(db);
  // A first version kept before other languages were known is the one that ships.
  const isShipped = own && JSON.stringify(own.paragraphs) === JSON.stringify(shipped.paragraphs);
  return isShipped ? { ...own, others: { ...shipped.others, ...own.others } } : (own ?? shipped);
};

export async function readWordingIn(db: Db, language: LanguageId): Promise<WordingToRead> {
  const { version, paragraphs, others } = await readWording(db);
  const other = others[language];
  return other ? { version, language, paragraphs: other } : { version, language: 'en', paragraphs };
}

/** Puts the wording that ships on record as the first version, as soon as something refers to it. */
export async function keepFirstWording(db: Db, now: string): Promise<void> {
  if (!(await latestWording(db))) await insertWording(db, shipped, null, now);
}
