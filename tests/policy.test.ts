import { readdirSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { allRoutes } from '../src/contracts/routes';
import { pages } from '../src/contracts/routes/pages';
import type { Door, Method } from '../src/contracts/routes/route';
import { mayUse, type Visitor } from '../src/server/auth/policy';
import { endpointOf } from '../src/server/endpoints';
import { match } from '../src/server/http/matching';

const folder = path.join(import.meta.dirname, '../src/pages');

/** The address of every page. */
const addresses = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.astro'))
  .map(
    (file) =>
      `/${file
        .replace(/\.astro$/, '')
        .replace(/(^|\/)index$/, '')
        .replace(/\[(\w+)\]/g, '{$1}')}`,
  );

const doors: readonly (Door & { readonly method: Method })[] = [
  ...pages.map((page): Door & { readonly method: Method } => ({ ...page, method: 'get' })),
  ...allRoutes,
];

const house: Visitor = { role: undefined, isLocked: false, handedVisitId: null, isHouseSetUp: true };
const sample = (pattern: string) => pattern.replace(/\{\w+\}/g, '7');

describe('who may use what', () => {
  it('is said of every page, and of none that is not there', () => {
    for (const address of addresses) expect(match('GET', sample(address)).kind, address).toBe('page');
    for (const page of pages)
      expect(
        addresses.some((address) => {
          const found = match('GET', sample(address));
          return found.kind === 'page' && found.page === page;
        }),
        page.path,
      ).toBe(true);
  });

  it('is refused when nothing is said', () => {
    const owner: Visitor = { ...house, role: 'owner' };
    expect(mayUse('GET', '/api/secrets', owner)).toBe('unknown');
    expect(mayUse('PATCH', '/api/clients/7', owner)).toBe('forbidden');
    expect(mayUse('GET', '/clients/7/more', owner)).toBe('unknown');
  });

  it('leaves next to nothing open to somebody who is not signed in', () => {
    const open = doors.filter((door) => mayUse(door.method, sample(door.path), house) === 'allowed');
    const addressed = open.map((door) => door.path.replace(/^\/api\/compute\/.*/, '/api/compute/…'));
    expect([...new Set(addressed)]).toEqual([
      '/sign-in',
      '/welcome',
      '/recover',
      '/problems/{name}',
      '/404',
      '/licences',
      '/home/{token}',
      '/api/compute/…',
      '/api/session',
      '/api/session/demo',
      '/api/session/recover',
      '/api/health',
      '/metrics',
      '/api/openapi.json',
      '/api/keeping/encryption',
      '/api/calendar/{token}',
      '/api/mail/reports/{token}',
      '/api/home-page/{token}/ticks',
    ]);
  });

  it('never gives a lower role what a higher one has not', () => {
    const roles = ['assistant', 'therapist', 'owner'] as const;
    for (const { path: at, method } of doors) {
      const verdicts = roles.map((role) => mayUse(method, sample(at), { ...house, role }) === 'allowed');
      expect(verdicts, `${method} ${at}`).toEqual([...verdicts].sort());
    }
  });

  it('shuts all but the client’s own questions while the tablet is handed over, and all but the door while locked', () => {
    const handed: Visitor = { ...house, role: 'owner', handedVisitId: 7 };
    const openTo = (visitor: Visitor) =>
      doors
        .filter(({ path: at, method }) => mayUse(method, sample(at), visitor) === 'allowed')
        .map(({ path: at }) => at)
        .filter((at) => !/problems|404|licences|metrics|health|openapi|compute|calendar|home|encryption/.test(at));
    expect(openTo(handed)).toEqual([
      '/tablet/{visit}',
      '/api/session',
      '/api/session/unlock',
      '/api/tablet/{visit}',
      '/api/tablet/{visit}/feedback',
      '/api/tablet/{visit}/consent',
    ]);
    expect(mayUse('GET', '/tablet/8', handed)).toBe('handed');
    expect(mayUse('POST', '/api/tablet/8', handed)).toBe('handed');
    expect(openTo({ ...house, role: 'owner', isLocked: true })).toEqual([
      '/sign-in',
      '/recover',
      '/locked',
      '/api/session',
      '/api/session',
      '/api/session/demo',
      '/api/session/lock',
      '/api/session/unlock',
      '/api/session/recover',
    ]);
  });

  it('opens nothing but the way to it, while the house asks for a second factor that is not there', () => {
    const owing: Visitor = { ...house, role: 'owner', isProved: true, isOwing: true };
    const open = doors
      .filter(({ path: at, method, who }) => who !== 'everybody' && mayUse(method, sample(at), owing) === 'allowed')
      .map(({ path: at, method }) => `${method} ${at}`);
    expect(open).toEqual([
      'get /second-factor',
      'delete /api/session',
      'get /api/session/factor',
      'post /api/session/factor',
      'put /api/session/factor',
    ]);
    expect(mayUse('GET', '/', owing)).toBe('owing');
    expect(mayUse('GET', '/api/clients', owing)).toBe('owing');
  });
});

describe('the definitions of the endpoints', () => {
  it('are each of an address of their own, and each has its handler', () => {
    const named = allRoutes.map((route) => `${route.method} ${route.path}`);
    expect(named).toHaveLength(new Set(named).size);
    for (const route of allRoutes) {
      const found = match(route.method, sample(route.path));
      expect(found.kind === 'route' ? found.route : found, `${route.method} ${route.path}`).toBe(route);
      expect(endpointOf.get(route)?.route, `${route.method} ${route.path}`).toBe(route);
    }
  });

  it('give a schema for each name in the address, and for no other', () => {
    for (const { path: at, params = {} } of allRoutes)
      expect(Object.keys(params), at).toEqual([...at.matchAll(/\{(\w+)\}/g)].map(([, name]) => name));
  });
});
