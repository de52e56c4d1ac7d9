import { visitQuestionIds } from '../../src/core/visit/visit-check';

/** Answers of the check that let a visit go on. */
export const allNo = Object.fromEntries(visitQuestionIds.map((id) => [id, 'no'])) as Readonly<
  Record<(typeof visitQuestionIds)[number], 'no'>
>;
