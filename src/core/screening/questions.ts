import type { ConditionId } from '../ids';
import type { FiredRule } from './combination';
import type { ReadScreening } from './read-request';
import type { FindingSubject, Subject } from './subject';
import { screeningSays } from './screening.says';

export interface Question {
  /** `age`, or the condition and what is asked of it. */
  readonly id: string;
  /** Absent for the age. */
  readonly condition?: ConditionId;
  readonly kind: 'age' | 'date' | 'side' | 'place' | 'follow-up' | 'clearance';
  readonly text: string;
}

/** What is still to be asked, in the order of the conditions; notes from others come last, see `missingClearances`. */
export function openQuestions(read: ReadScreening, findings: readonly FindingSubject[]): readonly Question[] {
  const age: Question[] =
    read.age === undefined ? [{ id: 'age', kind: 'age', text: screeningSays.howOldIsTheClient }] : [];
  return withoutDoubles([...age, ...findings.flatMap((finding) => questionsOf(finding, findings))]);
}

function questionsOf(finding: FindingSubject, all: readonly FindingSubject[]): readonly Question[] {
  const { of: condition, given: input } = finding;
  const ask = (kind: Question['kind'], text: string, id: string = kind): Question => ({
    id: `${condition.id}.${id}`,
    condition: condition.id,
    kind,
    text,
  });
  const label = `“${condition.label}”`;
  const hasRegions = (input.regions ?? []).length > 0;
  const questions: Question[] = [];
  if (condition.dated && finding.day === undefined) questions.push(ask('date', screeningSays.whenWasIt(label)));
  if (condition.locatable === 'side' && !input.side && !hasRegions)
    questions.push(ask('side', screeningSays.onWhichSide(label)));
  if (['region', 'line', 'point'].includes(condition.locatable) && !hasRegions)
    questions.push(ask('place', screeningSays.markThePlaceOnTheBody(label)));
  for (const { id, text, answeredBy } of condition.followUps ?? []) {
    const answers = input.answers ?? {};
    const isAnswered = id in answers || `${condition.id}.${id}` in answers;
    if (!isAnswered && !all.some((other) => answeredBy.includes(other.id))) questions.push(ask('follow-up', text, id));
  }
  return questions;
}

/** Notes that would turn a `clear-first` into a `modify` and are not there. */
export function missingClearances(
  findings: readonly FindingSubject[],
  rules: readonly FiredRule[],
  asking: (subject: Subject) => readonly string[],
): readonly Question[] {
  return withoutDoubles(
    findings.flatMap((finding) => {
      const wanted = [finding, ...rules.filter((rule) => rule.matched.includes(finding))].flatMap(asking);
      if (!wanted.some((modality) => !finding.isCleared(modality))) return [];
      const text = screeningSays.isThereAWrittenNoteFrom(finding.of.label);
      return [{ id: `${finding.id}.clearance`, condition: finding.id, kind: 'clearance', text } as const];
    }),
  );
}

/** The first of each id. */
function withoutDoubles(questions: readonly Question[]): readonly Question[] {
  return questions.filter((question, index) => questions.findIndex(({ id }) => id === question.id) === index);
}
