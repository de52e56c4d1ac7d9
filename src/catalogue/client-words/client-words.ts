import type { LanguageId } from '../../core/language';
import type { ClientWords } from './words';
import { german } from './words.de';
import { english } from './words.en';

const tables: Readonly<Record<LanguageId, ClientWords>> = { en: english, de: german };

export const clientWordsOf = (language: LanguageId): ClientWords => tables[language];
