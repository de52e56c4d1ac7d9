import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/**
 * Where the build has put a program of its own, seen from wherever this module has come to lie.
 * @returns undefined without a build
 */
export const programBeside = (name: string): string | undefined =>
  [`./workers/${name}.mjs`, `../workers/${name}.mjs`, `../../workers/${name}.mjs`, `./${name}.mjs`]
    .map((place) => new URL(place, import.meta.url))
    .filter(({ protocol }) => protocol === 'file:')
    .map((url) => fileURLToPath(url))
    .find((file) => existsSync(file));
