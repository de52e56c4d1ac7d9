import type { ConditionId } from '../../core/ids';
import type { LanguageId } from '../../core/language';
import { gateRows } from '../screening/intake.data';
import { screeningBook } from '../screening/screening';
import { gatesDe, questionsDe } from './intake.de';

export interface IntakeWords {
  /** A group's opening question and its examples. */
  readonly gate: (group: string) => readonly [ask: string, suchAs: string];
  readonly question: (condition: ConditionId) => string;
}

const gatesEn = new Map(gateRows.map(([group, ask, suchAs]) => [group as string, [ask, suchAs] as const]));

const english: IntakeWords = {
  gate: (group) => gatesEn.get(group) ?? [group, ''],
  question: (condition) => screeningBook.conditions.get(condition)?.ask ?? condition,
};

const tables: Readonly<Record<LanguageId, IntakeWords>> = {
  en: english,
  de: {
    gate: (group) => gatesDe[group] ?? english.gate(group),
    question: (condition) => questionsDe[condition] ?? english.question(condition),
  },
};

/** What the client is asked on the tablet; what a house has added itself is asked as it was written. */
export const intakeWordsOf = (language: LanguageId): IntakeWords => tables[language];
