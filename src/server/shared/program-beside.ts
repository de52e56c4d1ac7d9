import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { sharedAnswers } from './shared.answers';

/**
 * Where the build has put a program of its own, seen from wherever this module has come to lie.
 * @returns undefined without a build
 */
export const programBeside = (name: string): string | undefined =>
  [sharedAnswers.workersMjs(name), sharedAnswers.workersMjs2(name), sharedAnswers.workersMjs3(name), `./${name}.mjs`]
    .map((place) => new URL(place, import.meta.url))
    .filter(({ protocol }) => protocol === 'file:')
    .map((url) => fileURLToPath(url))
    .find((file) => existsSync(file));
