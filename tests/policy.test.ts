import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { operations } from '../src/contracts/operations';
import { matches, mayUse, policy, type Visitor } from '../src/server/auth/policy';

const pages = path.join(import.meta.dirname, '../src/pages');

/** The address of every file of the pages, and the methods that endpoints answer to. */
const addresses = readdirSync(pages, { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(ts|astro)$/.test(file))
  .map((file) => {
    const plain = file
      .replace(/\.(ts|astro)$/, '')
      .replace(/(^|\/)index$/, '')
      .replace(/\[(\w+)\]/g, ':$1');
    const methods = file.endsWith('.ts')
      ? [...readFileSync(path.join(pages, file), 'utf8').matchAll(/export const (GET|POST|PUT|DELETE)/g)].map(
          ([, m]) => m,
        )
      : ['GET'];
    return { address: `/${plain}`, methods: methods as string[] };
  });

const house: Visitor = { role: undefined, isLocked: false, handedVisitId: null, isHouseSetUp: true };
const sample = (pattern: string) => pattern.replace(/:\w+/g, '7');

describe('who may use what', () => {
  it('is said of every page and endpoint, and of nothing that is not there', () => {
    for (const { address, methods } of addresses) {
      for (const method of methods) {
        const rules = policy.filter(
          (rule) => matches(rule.path, sample(address)) && (!rule.methods || rule.methods.includes(method)),
        );
        expect(rules, `${method} ${address}`).not.toHaveLength(0);
      }
    }
    for (const rule of policy)
      expect(
        addresses.some(({ address }) => matches(rule.path, sample(address))),
        rule.path,
      ).toBe(true);
  });

  it('is refused when nothing is said', () => {
    const owner: Visitor = { ...house, role: 'owner' };
    expect(mayUse('GET', '/api/secrets', owner)).toBe('unknown');
    expect(mayUse('PATCH', '/api/clients/7', owner)).toBe('forbidden');
    expect(mayUse('GET', '/clients/7/more', owner)).toBe('unknown');
  });

  it('leaves next to nothing open to somebody who is not signed in', () => {
    const open = policy.filter(
      ({ path: at, methods }) => mayUse(methods?.[0] ?? 'GET', sample(at), house) === 'allowed',
    );
    expect(open.map(({ path: at }) => at)).toEqual([
      '/sign-in',
      '/welcome',
      '/problems/:name',
      '/404',
      '/api/health',
      '/api/openapi.json',
      '/api/compute/:name',
      '/api/calendar/:token',
      '/home/:token',
      '/api/home-page/:token/ticks',
      '/api/session',
      '/api/session/demo',
    ]);
  });

  it('never gives a lower role what a higher one has not', () => {
    const roles = ['assistant', 'therapist', 'owner'] as const;
    for (const { path: at, methods } of policy) {
      for (const method of methods ?? ['GET']) {
        const verdicts = roles.map((role) => mayUse(method, sample(at), { ...house, role }) === 'allowed');
        expect(verdicts, `${method} ${at}`).toEqual([...verdicts].sort());
      }
    }
  });

  it('shuts all but the client’s own questions while the tablet is handed over, and all but the door while locked', () => {
    const handed: Visitor = { ...house, role: 'owner', handedVisitId: 7 };
    const openTo = (visitor: Visitor) =>
      policy
        .filter(({ path: at, methods }) => mayUse(methods?.[0] ?? 'GET', sample(at), visitor) === 'allowed')
        .map(({ path: at }) => at)
        .filter((at) => !/problems|404|health|openapi|compute|calendar|home/.test(at));
    expect(openTo(handed)).toEqual([
      '/api/session',
      '/api/session/unlock',
      '/tablet/:visit',
      '/api/tablet/:visit',
      '/api/tablet/:visit/feedback',
      '/api/tablet/:visit/consent',
    ]);
    expect(mayUse('GET', '/tablet/8', handed)).toBe('handed');
    expect(mayUse('POST', '/api/tablet/8', handed)).toBe('handed');
    expect(openTo({ ...house, role: 'owner', isLocked: true })).toEqual([
      '/sign-in',
      '/locked',
      '/api/session',
      '/api/session',
      '/api/session/demo',
      '/api/session/lock',
      '/api/session/unlock',
    ]);
  });
});

describe('the document of the endpoints', () => {
  it('names every one of them with its method, and none besides', () => {
    const described = operations.map((o) => `${o.method.toUpperCase()} ${o.path.replace(/\{(\w+)\}/g, ':$1')}`);
    const served = addresses
      .filter(({ address }) => address.startsWith('/api/'))
      .flatMap(({ address, methods }) => methods.map((method) => `${method} ${address}`));
    const plain = (all: readonly string[]) =>
      all.map((line) => line.replace('/api/compute/:name', '/api/compute')).toSorted();
    expect(plain(described)).toEqual(plain(served));
  });
});
