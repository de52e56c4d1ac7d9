import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { forbiddenArrow, layerOf } from '../layers.config.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const files = readdirSync(path.join(root, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(ts|tsx|astro)$/.test(name))
  .map((name) => path.join(root, 'src', name));

/** What a file imports, read by the TypeScript scanner; of an Astro page, its head. */
function importsOf(file: string): string[] {
  const text = readFileSync(file, 'utf8');
  const source = file.endsWith('.astro') ? (text.split('---')[1] ?? '') : text;
  return ts.preProcessFile(source).importedFiles.map(({ fileName }) => fileName);
}

/** Ways through a graph that come back to where they began, each once. */
function circlesIn(ahead: ReadonlyMap<string, readonly string[]>): string[] {
  const found: string[] = [];
  const done = new Set<string>();
  const way: string[] = [];
  const walk = (at: string): void => {
    const since = way.indexOf(at);
    if (since >= 0) {
      found.push(
        [...way.slice(since), at].map((file) => (path.isAbsolute(file) ? path.relative(root, file) : file)).join(' → '),
      );
      return;
    }
    if (done.has(at)) return;
    way.push(at);
    for (const next of ahead.get(at) ?? []) walk(next);
    way.pop();
    done.add(at);
  };
  for (const file of ahead.keys()) walk(file);
  return found;
}

describe('the direction of imports', () => {
  it('follows the arrows, in every file, Astro pages too', () => {
    const broken = files.flatMap((file) =>
      importsOf(file).flatMap((specifier) => {
        const resolved = specifier.startsWith('.') ? path.resolve(path.dirname(file), specifier) : undefined;
        return forbiddenArrow(file, specifier, resolved) ?? [];
      }),
    );
    expect(broken).toEqual([]);
  });

  it('goes in no circle, types included', () => {
    const known = new Set(files);
    const ahead = new Map(
      files.map((file) => [
        file,
        importsOf(file).flatMap((specifier) => {
          const at = path.resolve(path.dirname(file), specifier);
          return specifier.startsWith('.')
            ? ['', '.ts', '.tsx'].map((end) => at + end).filter((one) => known.has(one))
            : [];
        }),
      ]),
    );
    expect(circlesIn(ahead)).toEqual([]);
    const circle = new Map([
      ['a', ['b']],
      ['b', ['c']],
      ['c', ['a']],
      ['d', ['a']],
    ]);
    expect(circlesIn(circle)).toEqual(['a → b → c → a']);
  });

  it('goes in no circle between the folders of the core: each stands on those below it', () => {
    const folderOf = (file: string) => /\/src\/core\/([^/]+)\//.exec(file)?.[1];
    const ahead = new Map<string, string[]>();
    for (const file of files.filter((name) => !/\.test\.tsx?$/.test(name))) {
      const from = folderOf(file);
      if (!from) continue;
      const to = importsOf(file).flatMap((specifier) => folderOf(path.resolve(path.dirname(file), specifier)) ?? []);
      ahead.set(from, [...(ahead.get(from) ?? []), ...to.filter((folder) => folder !== from)]);
    }
    expect(circlesIn(ahead)).toEqual([]);
  });

  it('would catch the core reaching out, be it to a package, another layer or from a nested folder', () => {
    const core = path.join(root, 'src/core/drainage/plan.ts');
    expect(forbiddenArrow(core, 'zod', undefined)).toContain('nothing from outside');
    expect(forbiddenArrow(core, 'node:fs', undefined)).toContain('nothing from outside');
    expect(forbiddenArrow(core, '../../catalogue/anatomy', path.join(root, 'src/catalogue/anatomy'))).toContain(
      'src/catalogue',
    );
    expect(forbiddenArrow(core, '../anatomy/place', path.join(root, 'src/core/anatomy/place'))).toBeUndefined();
    expect(layerOf('/x/src/middleware.ts')).toBe('root');
  });

  it('would catch a repository that asks a domain, and a database that knows one', () => {
    const from = (name: string, to: string) =>
      forbiddenArrow(path.join(root, 'src/server', name), 'x', path.join(root, 'src/server', to));
    expect(from('visits/visits.repository.ts', 'visits/read-visit')).toContain('asks nobody else');
    expect(from('visits/visits.repository.ts', 'people/people.repository')).toBeUndefined();
    expect(from('visits/visits.repository.ts', 'shared/house-clock')).toBeUndefined();
    expect(from('db/connection.ts', 'visits/read-visit')).toContain('knows nothing');
    expect(from('visits/read-day.ts', 'visits/visits.repository')).toBeUndefined();
    const rows = path.join(root, 'src/server/visits/visits.repository');
    expect(forbiddenArrow(path.join(root, 'src/pages/index.astro'), 'x', rows)).toContain('asks a domain');
  });

  it('keeps queries in repositories, in pages too', () => {
    const asks = files.filter(
      (file) =>
        /\.(selectFrom|insertInto|updateTable|deleteFrom)\(/.test(readFileSync(file, 'utf8')) &&
        !/repository\.ts$|\.test\.tsx?$|-fixtures\.ts$|src\/server\/db\/|src\/demo\//.test(file),
    );
    expect(asks).toEqual([]);
  });

  it('keeps registry hosts and paths of one machine out of what is committed', () => {
    const lock = readFileSync(path.join(root, 'package-lock.json'), 'utf8');
    expect(lock).not.toMatch(/"resolved":/);
  });
});
