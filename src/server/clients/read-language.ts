import type { ClientId, VisitId } from '../../core/ids';
import { type LanguageId, languageFor } from '../../core/language';
import type { Db } from '../db/connection';
import { findSettings } from '../people/settings.repository';
import { findLanguage, findLanguageOfVisit } from './clients.repository';

/** The language that a client reads: their own, or else the house's. */
export async function readLanguage(db: Db, clientId: ClientId | null): Promise<LanguageId> {
  const [own, { language }] = await Promise.all([
    clientId === null ? ('' as const) : findLanguage(db, clientId),
    findSettings(db),
  ]);
  return languageFor(own, language);
}

/** The same for the client of a visit. */
export async function readVisitLanguage(db: Db, visitId: VisitId): Promise<LanguageId> {
  const [own, { language }] = await Promise.all([findLanguageOfVisit(db, visitId), findSettings(db)]);
  return languageFor(own, language);
}
