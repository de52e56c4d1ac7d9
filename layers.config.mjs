/**
 * Which layer may import which: the one table behind the lint rule and `tests/architecture.test.ts`.
 * A layer is a folder under `src`; every layer may import itself. `core` may import nothing else at all,
 * not even a package.
 * @type {Readonly<Record<string, readonly string[]>>}
 */
export const arrows = {
  core: [],
  catalogue: ['core', 'contracts'],
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
const mayUsePackages = (layer) => layer !== 'core';

/**
 * `src/core/x/y.ts` → `core`; files directly under `src` are `root`; anything else is undefined.
 * @param {string} path
 * @returns {string | undefined}
 */
export function layerOf(path) {
  const match = /(?:^|\/)src\/([^/]+)(\/.*)?$/.exec(path.replaceAll('\\', '/'));
  if (!match) return undefined;
  return match[2] ? match[1] : 'root';
}

/**
 * The arrows inside the server: routes → commands and queries of a domain → repositories → database. A repository knows
 * other repositories, the database and what all domains share; the database knows nothing of the domains.
 */
function forbiddenInServer(fromFile, specifier, resolved) {
  const [from, to] = [kindInServer(fromFile), kindInServer(resolved)];
  if (from === 'repository' && to === 'domain')
    return `A repository reads and writes rows, it asks nobody else (“${specifier}”).`;
  if (from === 'db' && to !== 'db') return `The database knows nothing of the domains (“${specifier}”).`;
  return undefined;
}

const kindInServer = (file) => {
  const path = file.replaceAll('\\', '/');
  if (/\.(repository|documents)(\.ts)?$/.test(path)) return 'repository';
  const folder = /\/src\/server\/([^/]+)/.exec(path)?.[1];
  return folder === 'db' ? 'db' : folder === 'shared' ? 'shared' : 'domain';
};

/**
 * The sentence to show when `fromFile` may not import `specifier`, or undefined when it may.
 * @param {string} fromFile
 * @param {string} specifier
 * @param {string | undefined} resolved the absolute path of a relative import, undefined for a package
 * @param {boolean} [isTest]
 * @returns {string | undefined}
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
  if (to === 'server' && from === 'server') return forbiddenInServer(fromFile, specifier, resolved);
  if (to === from) return undefined;
  if (from === 'pages' && to === 'server' && kindInServer(resolved) === 'repository')
    return `A route asks a domain, not its rows (“${specifier}”).`;
  if (to !== undefined && (arrows[from] ?? []).includes(to)) return undefined;
  return `src/${from} may not import ${to === undefined ? 'from outside src' : `src/${to}`} (“${specifier}”).`;
}
