import { type LanguageId, localeOf } from '../../core/language';
import type { ClientWords } from './words';
import { german } from './words.de';
import { english } from './words.en';

const tables: Readonly<Record<LanguageId, ClientWords>> = { en: english, de: german };

export const clientWordsOf = (language: LanguageId): ClientWords => tables[language];

/** `Tuesday 1 December` of a day as it is stored (YYYY-MM-DD). */
export const dayInWords = (language: LanguageId, day: string): string =>
  new Intl.DateTimeFormat(localeOf[language], {
    ...{ weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' },
  }).format(new Date(`${day}T12:00:00Z`));

/** `1 December 2026` of a day as it is stored. */
export const dateInWords = (language: LanguageId, day: string): string =>
  new Intl.DateTimeFormat(localeOf[language], { dateStyle: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );
