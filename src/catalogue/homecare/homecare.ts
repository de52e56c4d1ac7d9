import type { HomeRoutine, HomeRoutineId } from '../../core/homecare/sheet';
import { homeRoutines } from './routines.data';
import type { HomeWords } from './words';
import { german } from './words.de';
import { english } from './words.en';

/** Languages that sheets can be printed in; the first is the house’s own. */
export const homeLanguages: readonly HomeWords[] = [english, german];

/** The words of a language; the house’s own where a sheet names one that is not there (any more). */
export const homeWordsOf = (language: string): HomeWords =>
  homeLanguages.find((one) => one.language === language) ?? english;

/** @returns the routine of an id */
export function homeRoutine(id: HomeRoutineId): HomeRoutine {
  const routine = homeRoutines.find((one) => one.id === id);
  if (!routine) throw new Error(`no home routine ${id}`);
  return routine;
}
