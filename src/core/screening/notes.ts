import type { ConditionId } from '../ids';
import type { ScreeningBook } from './book';
import { mergeLimits } from './limits';
import type { ModalityAnswer, Screening } from './screen';
import { type Limits, rankOf, worseOf } from './tables';
import { screeningSays } from './screening.says';

/** What a written note that counts allows, and no more than that. */
export interface NoteLimits {
  /** The finding that it is about. */
  readonly condition: ConditionId;
  /** Who wrote it, for the reason. */
  readonly writtenBy: string;
  readonly modalities: 'all' | readonly string[];
  readonly limits: Pick<Limits, 'maxPressure' | 'maxMinutes' | 'noHeat'>;
}

/** The same screening with the limits of notes merged in: of note and table the stricter wins, in every place. */
export function withNoteLimits(book: ScreeningBook, screening: Screening, notes: readonly NoteLimits[]): Screening {
  const strict = notes.filter(({ limits }) => Object.values(limits).some((value) => value !== undefined));
  if (strict.length === 0) return screening;
  const limited = <A extends ModalityAnswer>(answer: A): A =>
    strict
      .filter(({ modalities }) => modalities === 'all' || modalities.includes(answer.modality))
      .reduce((row, note) => withNote(book, row, note), answer);
  const byModality = screening.byModality.map(limited);
  return {
    ...screening,
    byModality,
    regions: screening.regions.map(limited),
    overall: byModality.reduce((worst, row) => worseOf(worst, row.decision), screening.overall),
  };
}

function withNote<A extends ModalityAnswer>(book: ScreeningBook, answer: A, note: NoteLimits): A {
  const reason = {
    condition: note.condition,
    decision: 'modify',
    text: screeningSays.theNoteOfAsksForNo(note.writtenBy),
    code: 'finding',
  } as const;
  const isMilder = rankOf(answer.decision) < rankOf('modify');
  return {
    ...answer,
    decision: worseOf(answer.decision, 'modify'),
    limits: mergeLimits(book.limitKeys, answer.limits, note.limits),
    reasons: isMilder ? [reason, ...answer.reasons] : [...answer.reasons, reason],
  };
}
