import type { APIContext } from 'astro';
import { describe, expect, it } from 'vitest';
import { clearSessionCookie, setSessionCookie } from './cookie';
import { readUpTo } from './endpoint';
import { secureHeaders } from './headers';
import { isTooFast } from './rate';

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
    expect(headers.get('permissions-policy')).toContain('camera=()');
  });
});

describe('tries at the door', () => {
  it('are slowed down beyond what a minute may hold, and only at doors that have such a limit', () => {
    const start = 1_000_000;
    for (let i = 0; i < 60; i += 1) expect(isTooFast(60, start + i)).toBe(false);
    expect(isTooFast(60, start + 61)).toBe(true);
    expect(isTooFast(undefined, start + 62)).toBe(false);
    expect(isTooFast(60, start + 61_001)).toBe(false);
  });
});

describe('a body of bytes', () => {
  const request = (bytes: number, announced?: number) =>
    new Request('http://house/api/x', {
      method: 'POST',
      body: new Uint8Array(bytes),
      ...(announced === undefined ? {} : { headers: { 'content-length': String(announced) } }),
    });
  const statusOf = (given: Request) =>
    readUpTo(given, 1000).then(
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
      set: (...given: unknown[]) => calls.push(given),
      delete: (...given: unknown[]) => calls.push(given),
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
