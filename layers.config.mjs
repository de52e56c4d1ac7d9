/**
 * Which layer may import which: the one table behind the lint rule and `tests/architecture.test.ts`.
 * A layer is a folder under `src`; every layer may import itself. `core` may import nothing else at all,
 * not even a package.
 */
export const arrows = {
  core: [],
  catalogue: ['core'],
  contracts: ['core'],
  charts: ['core', 'contracts'],
  ui: ['core', 'catalogue', 'styles'],
  workers: ['core', 'catalogue', 'contracts'],
  islands: ['ui', 'workers', 'charts', 'contracts', 'core', 'catalogue'],
  server: ['core', 'catalogue', 'contracts', 'charts'],
  demo: ['core', 'catalogue', 'contracts', 'server'],
  pages: ['server', 'contracts', 'islands', 'ui', 'core', 'catalogue', 'styles'],
  root: ['server', 'contracts', 'core', 'catalogue', 'demo'],
};

/** Layers that may import packages of the registry. */
export const mayUsePackages = (layer) => layer !== 'core';

/** `src/core/x/y.ts` → `core`; files directly under `src` are `root`; anything else is undefined. */
export function layerOf(path) {
  const match = /(?:^|\/)src\/([^/]+)(\/.*)?$/.exec(path.replaceAll('\\', '/'));
  if (!match) return undefined;
  return match[2] ? match[1] : 'root';
}

/**
 * The sentence to show when `fromFile` may not import `specifier`, or undefined when it may.
 * `resolved` is the absolute path of a relative import, undefined for a package.
 */
export function forbiddenArrow(fromFile, specifier, resolved, isTest = /\.(test|bench)\.tsx?$/.test(fromFile)) {
  const from = layerOf(fromFile);
  if (from === undefined || isTest) return undefined;
  if (resolved === undefined) {
    return mayUsePackages(from)
      ? undefined
      : `src/${from} may import nothing from outside it, not even “${specifier}”.`;
  }
  const to = layerOf(resolved);
  if (to === from) return undefined;
  if (to !== undefined && (arrows[from] ?? []).includes(to)) return undefined;
  return `src/${from} may not import ${to === undefined ? 'from outside src' : `src/${to}`} (“${specifier}”).`;
}
