import { visitCheck } from '../../src/server/visits/visit-check';

const questions = [...visitCheck.flags, ...visitCheck.today, ...visitCheck.others];

/** Answers of the check that let a visit go on. */
export const allNo: Readonly<Record<string, 'no'>> = Object.fromEntries(questions.map(({ id }) => [id, 'no'] as const));
