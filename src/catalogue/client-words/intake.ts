import type { ConditionId } from '../../core/ids';
import type { LanguageId } from '../../core/language';
import { gateRows } from '../screening/intake.data';
import { screeningBook } from '../screening/screening';
import { gatesDe } from './intake.de';

type Gates = Readonly<Record<string, readonly [ask: string, suchAs: string]>>;

const gatesEn: Gates = Object.fromEntries(gateRows.map(([group, ask, suchAs]) => [group, [ask, suchAs]]));
const gates: Readonly<Record<LanguageId, Gates>> = { en: gatesEn, de: gatesDe };

export interface IntakeWords {
  /** A group's opening question and its examples. */
  readonly gate: (group: string) => readonly [ask: string, suchAs: string];
  readonly question: (condition: ConditionId) => string;
}

/** What the client is asked on the tablet; what has no words in a language is asked in English. */
export const intakeWordsOf = (language: LanguageId): IntakeWords => ({
  gate: (group) => gates[language][group] ?? gatesEn[group] ?? [group, ''],
  question: (condition) => {
    const row = screeningBook.conditions.get(condition);
    return row?.otherAsks?.[language] ?? row?.ask ?? condition;
  },
});
