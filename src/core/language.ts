/** Languages in which a client may read; the house works in the first. Another one is a table of words for each of them. */
export const languageIds = ['en', 'de'] as const;
export type LanguageId = (typeof languageIds)[number];

/** As each language calls itself. */
export const languageNames: Readonly<Record<LanguageId, string>> = { en: 'English', de: 'Deutsch' };

/** How dates and numbers are written in it. */
export const localeOf: Readonly<Record<LanguageId, string>> = { en: 'en-GB', de: 'de-DE' };

/** The language that a client reads: their own where one was said, or else the house's. */
export const languageFor = (own: LanguageId | '' | undefined, ofHouse: LanguageId | undefined): LanguageId =>
  own || ofHouse || 'en';

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
