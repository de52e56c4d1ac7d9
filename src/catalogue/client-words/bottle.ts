import type { LanguageId } from '../../core/language';
import type { BottleWords } from '../../core/oils/bottle-words';
import { germanBottle } from './bottle.de';
import { englishBottle } from './bottle.en';

const tables: Readonly<Record<LanguageId, BottleWords>> = { en: englishBottle, de: germanBottle };

/** What stands on a bottle and on its sheet; apart from what the tablet says, since it brings the oils along. */
export const bottleWordsOf = (language: LanguageId): BottleWords => tables[language];
