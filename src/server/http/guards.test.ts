import type { APIContext } from 'astro';
import { describe, expect, it } from 'vitest';
import { clearSessionCookie, setSessionCookie } from './cookie';
import { readUpTo } from './endpoint';
import { secureHeaders } from './headers';
import { isForeign } from './foreign';
import { deviceNameOf, isOwnHost } from './origin';
import { isTooFast } from './rate';
import { troublePage } from './trouble-page';
import { HouseTrouble, troubleOf, troubleWords } from '../db/trouble';
import { recordOf } from '../house/note-view';

describe('headers of every answer', () => {
  const policyOf = (response: Response) => secureHeaders(response).headers.get('content-security-policy') ?? '';

  it('let nothing run but our own files', () => {
    const policy = policyOf(new Response('x'));
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain('unsafe-eval');
    expect(/script-src ([^;]+)/.exec(policy)?.[1]).not.toContain('unsafe-inline');
    for (const rule of ["object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'", "form-action 'self'"])
      expect(policy).toContain(rule);
  });

  it('keep the hashes that the build knows', () => {
    const page = new Response('x', { headers: { 'content-security-policy': "script-src 'self' 'sha256-abc=';" } });
    expect(policyOf(page)).toContain("script-src 'self' 'sha256-abc='");
  });

  it('stop guessing at types and telling where one came from', () => {
    const { headers } = secureHeaders(new Response('x'));
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('referrer-policy')).toBe('same-origin');
    expect(headers.get('permissions-policy')).toContain('camera=(self)');
  });
});

describe('tries at the door', () => {
  it('are slowed down beyond what a minute may hold, by address, and only at doors that have such a limit', () => {
    const start = 1_000_000;
    for (let i = 0; i < 60; i += 1) expect(isTooFast(60, '10.0.0.1', start + i)).toBe(false);
    expect(isTooFast(60, '10.0.0.1', start + 61)).toBe(true);
    expect(isTooFast(60, '10.0.0.2', start + 61)).toBe(false);
    expect(isTooFast(undefined, '10.0.0.1', start + 62)).toBe(false);
    expect(isTooFast(60, '10.0.0.1', start + 61_001)).toBe(false);
  });
});

describe('the name that a house is asked by', () => {
  it('is its address, a name of its own network, or one that was listed', () => {
    for (const host of ['localhost:4321', '127.0.0.1', '192.168.1.20:4321', '[::1]:80', 'practice', 'practice.local'])
      expect(isOwnHost(host, undefined), host).toBe(true);
    expect(isOwnHost('house.example', 'house.example, other.example')).toBe(true);
  });

  it('is not one that another site has pointed here', () => {
    for (const host of ['evil.example', 'evil.example:4321', 'localhost.evil.example', null])
      expect(isOwnHost(host, 'house.example')).toBe(false);
  });
});

describe('what a device is called in a list', () => {
  it.each([
    ['Mozilla/5.0 (Windows NT 10.0) Gecko/20100101 Firefox/128.0', 'Firefox on Windows'],
    ['Mozilla/5.0 (Linux; Android 14) AppleWebKit/537.36 Chrome/130.0 Safari/537.36', 'Chrome on Android tablet'],
    ['Mozilla/5.0 (iPad; CPU OS 17_0) AppleWebKit/605 Version/17.0 Safari/605', 'Safari on iPad'],
    ['', 'A browser'],
  ])('%s', (agent, name) => {
    expect(deviceNameOf(new Request('http://house/', { headers: { 'user-agent': agent } }))).toBe(name);
  });
});

describe('whose record an address shows', () => {
  it.each([
    ['/clients/7', 'client 7'],
    ['/api/clients/7/export', 'client 7'],
    ['/visits/12/plan', 'visit 12'],
    ['/api/visits/12/aftercare.pdf', 'visit 12'],
    ['/tablet/12', 'visit 12'],
    ['/clients', undefined],
    ['/library', undefined],
    ['/bench/oils?client=7', 'client 7'],
    ['/bench/stones?visit=12', 'visit 12'],
    ['/api/oils?visit=12&client=7', 'visit 12'],
    ['/bench/oils?client=x', undefined],
    ['/clients?client=7', undefined],
  ])('%s', (path, subject) => expect(recordOf(new URL(path, 'http://house'))).toBe(subject));
});

describe('a request from another site', () => {
  const asked = (method: string, headers: Record<string, string>) =>
    isForeign(new Request('http://house/api/x', { method, headers: { host: 'house', ...headers } }), 'velvet-stone');

  it('is known by its origin, and by a cookie without one', () => {
    expect(asked('GET', { origin: 'http://evil.example' })).toBe(false);
    expect(asked('POST', { origin: 'http://house' })).toBe(false);
    expect(asked('POST', { origin: 'http://evil.example' })).toBe(true);
    expect(asked('POST', { origin: 'null' })).toBe(true);
    expect(asked('POST', { cookie: 'velvet-stone=x' })).toBe(true);
    expect(asked('POST', {})).toBe(false);
    expect(asked('POST', { 'sec-fetch-site': 'cross-site' })).toBe(true);
  });
});

describe('what people see when the house cannot be opened', () => {
  const kinds = ['damaged', 'read-only', 'newer', 'changed', 'full', 'unknown'] as const;

  it.each(kinds)('%s: says what happened and what to do, as page and as problem', async (kind) => {
    const page = troublePage(new HouseTrouble(kind), false);
    expect([page.status, page.headers.get('content-type')]).toEqual([
      kind === 'full' ? 507 : 503,
      'text/html; charset=utf-8',
    ]);
    expect(await page.text()).toContain(`<h1>${troubleWords[kind].title}</h1>`);
    expect(await troublePage(new HouseTrouble(kind), true).json()).toMatchObject({
      detail: troubleWords[kind].whatToDo,
    });
  });

  it.each([
    ['SQLITE_CORRUPT', 'damaged'],
    ['SQLITE_NOTADB', 'damaged'],
    ['SQLITE_READONLY_DBMOVED', 'read-only'],
    ['EACCES', 'read-only'],
    ['SQLITE_FULL', 'full'],
    ['ENOSPC', 'full'],
    ['ESOMETHING', 'unknown'],
  ])('%s is %s', (code, kind) => {
    expect(troubleOf(Object.assign(new Error('x'), { code })).kind).toBe(kind);
  });
});

describe('a body of bytes', () => {
  const request = (bytes: number, announced?: number) =>
    new Request('http://house/api/x', {
      method: 'POST',
      body: new Uint8Array(bytes),
      ...(announced === undefined ? {} : { headers: { 'content-length': String(announced) } }),
    });
  const statusOf = (input: Request) =>
    readUpTo(input, 1000).then(
      (bytes) => bytes.length,
      (refused: Response) => refused.status,
    );

  it('is read up to the limit, and refused beyond it, whatever was announced', async () => {
    expect(await statusOf(request(1000))).toBe(1000);
    expect(await statusOf(request(1001))).toBe(413);
    expect(await statusOf(request(0))).toBe(0);
    expect(await statusOf(request(5000, 10))).toBe(413);
  });
});

describe('the cookie of a session', () => {
  function kept(url: string, forwarded?: string) {
    const calls: unknown[][] = [];
    const cookies = {
      set: (...input: unknown[]) => calls.push(input),
      delete: (...input: unknown[]) => calls.push(input),
    };
    const context = {
      cookies,
      url: new URL(url),
      request: new Request(url, { headers: forwarded ? { 'x-forwarded-proto': forwarded } : {} }),
    } as unknown as APIContext;
    setSessionCookie(context, 'token');
    clearSessionCookie(context);
    return calls;
  }

  it('is out of reach of scripts and other sites, and goes over TLS only where there is TLS', () => {
    const [[, value, options] = []] = kept('http://127.0.0.1/');
    expect([value, options]).toEqual([
      'token',
      expect.objectContaining({ httpOnly: true, sameSite: 'lax', secure: false }),
    ]);
    for (const calls of [kept('https://house.example/'), kept('http://127.0.0.1/', 'https')])
      expect(calls[0]?.[2]).toMatchObject({ secure: true });
  });

  it('is taken back from the same path', () => {
    const [, cleared] = kept('http://127.0.0.1/');
    expect(cleared?.[1]).toEqual({ path: '/' });
  });
});
