import type { School } from '../drainage/case';
import type { StepKind } from '../drainage/step';

type CourseTechniques = Readonly<Record<StepKind, string>>;

/** The technique of the library that each kind of step of the planner is given with. */
export const techniqueOfKind: CourseTechniques = {
  breathe: 'belly-breath',
  clear: 'node-clear',
  prepare: 'skin-stretch',
  soften: 'skin-stretch',
  drain: 'skin-stretch',
  carry: 'lymph-scoop',
  return: 'lymph-scoop',
  close: 'node-clear',
  turn: 'turn-over',
};

const strokes = (technique: string) => ({ drain: technique, carry: technique, return: technique });

/** The same by the hand of a school, for what is taught of a step. */
export const courseTechniques: Readonly<Record<School['hand'], CourseTechniques>> = {
  stretch: techniqueOfKind,
  sweep: { ...techniqueOfKind, ...strokes('lymph-sweep') },
  roller: { ...techniqueOfKind, ...strokes('roller-pass') },
};
