import type { Library } from '../library/protocol';
import type { Technique } from '../library/technique';
import type { School } from '../drainage/case';
import type { Step } from '../drainage/step';
import type { TableStep, Taught } from '../table/table-step';
import { courseTechniques } from './course-techniques';

/** What is taught of a technique. @param why why it stands at this point of the order; it is said first */
export const taughtOf = (technique: Technique, why?: string): Taught => ({
  why: [why, technique.why].filter(Boolean).join(' ') || undefined,
  never: technique.never || undefined,
  feel: technique.feel || undefined,
});

/** Steps of a course with what the library teaches of the technique that a school's hand gives them with. */
export const withTeaching = <S extends Step & Pick<TableStep, 'told'>>(
  library: Library,
  hand: School['hand'],
  steps: readonly S[],
): readonly (S & Pick<TableStep, 'taught'>)[] =>
  steps.map((step) => {
    const technique = step.told ? undefined : library.techniques.get(courseTechniques[hand][step.kind]);
    return technique ? { ...step, taught: taughtOf(technique) } : step;
  });
