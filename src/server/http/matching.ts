import { allRoutes } from '../../contracts/routes';
import { pages } from '../../contracts/routes/pages';
import type { Door, Route } from '../../contracts/routes/route';

type Params = Readonly<Record<string, string>>;

/** What an address names: an endpoint, a page, something that takes other methods, or nothing at all. */
export type Matched =
  | { readonly kind: 'route'; readonly route: Route; readonly params: Params }
  | { readonly kind: 'page'; readonly page: Door; readonly params: Params }
  | { readonly kind: 'other-methods'; readonly allowed: readonly string[] }
  | { readonly kind: 'nothing' };

const partsOf = (path: string) => path.replace(/\/$/, '').split('/');
const nameIn = (part: string) => (part.startsWith('{') ? part.slice(1, -1) : undefined);

/** Doors by how many parts their address has, those without a name between braces first: `/oils/import` before `/oils/{id}`. */
function byLength<D extends Door>(doors: readonly D[]): ReadonlyMap<number, readonly D[]> {
  const named = (door: Door) => partsOf(door.path).filter((part) => nameIn(part) !== undefined).length;
  const found = new Map<number, D[]>();
  for (const door of doors.toSorted((a, b) => named(a) - named(b))) {
    const length = partsOf(door.path).length;
    found.set(length, [...(found.get(length) ?? []), door]);
  }
  return found;
}

const routesByLength = byLength(allRoutes);
const pagesByLength = byLength<Door>(pages);

/** The names of a pattern with what stands there, or undefined where the address is another one. */
function fit(pattern: string, input: readonly string[]): Params | undefined {
  const params: Record<string, string> = {};
  for (const [i, part] of partsOf(pattern).entries()) {
    const [name, said] = [nameIn(part), input[i] ?? ''];
    if (name === undefined ? part !== said : said === '') return undefined;
    if (name !== undefined) params[name] = decoded(said);
  }
  return params;
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** Finds what a request asks for; a slash at the end makes no difference, `HEAD` is asked as `GET`. */
export function match(method: string, path: string): Matched {
  const input = partsOf(path);
  const asked = method === 'HEAD' ? 'get' : method.toLowerCase();
  const fitting = (routesByLength.get(input.length) ?? []).flatMap((route) => {
    const params = fit(route.path, input);
    return params ? [{ kind: 'route' as const, route, params }] : [];
  });
  const found = fitting.find(({ route }) => route.method === asked);
  if (found) return found;
  if (fitting.length > 0)
    return { kind: 'other-methods', allowed: fitting.map(({ route }) => route.method.toUpperCase()) };
  for (const page of pagesByLength.get(input.length) ?? []) {
    const params = fit(page.path, input);
    if (params) return asked === 'get' ? { kind: 'page', page, params } : { kind: 'other-methods', allowed: ['GET'] };
  }
  return { kind: 'nothing' };
}
