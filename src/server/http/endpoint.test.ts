import type { APIContext } from 'astro';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import type { Problem } from '../../contracts/problem';
import { file, Flag, get, Id, MaybeId, Mention, post, type Route, saved } from '../../contracts/routes/route';
import type { expectAudit } from '../shared/asking';
import { endpoints, fileAnswer, type Handler, serve, unwrap } from './endpoint';
import { conflict, invalidFields, notFound } from './problem';

const open = { who: 'everybody', what: 'jar', summary: 'Something with a jar.' } as const;

function context(body?: string, address = 'http://house/api/jars'): APIContext {
  const headers = { 'content-type': 'application/json' };
  const request = new Request(address, { method: 'POST', ...(body === undefined ? {} : { body, headers }) });
  return { request, url: new URL(address), locals: {} } as unknown as APIContext;
}

/** What a route answers when it is handled that way. */
async function answerOf<R extends Route>(
  route: R,
  handle: Handler<R>,
  { body, address, params = {} }: { body?: string; address?: string; params?: Readonly<Record<string, string>> } = {},
) {
  const [endpoint] = endpoints({ only: route }, { only: handle });
  if (!endpoint) throw new Error('a route without its endpoint');
  const response = await serve(endpoint, params, context(body, address));
  const text = await response.text();
  return { response, status: response.status, text, body: JSON.parse(text) as Problem & Record<string, unknown> };
}

describe('a body', () => {
  const Jar = z.object({ lid: z.string().min(1, 'Put a lid on.'), size: z.object({ ml: z.number() }) });
  const route = post('/api/jars', { ...open, body: Jar, answer: Jar });
  const ask = (body: string) => answerOf(route, (asked) => asked.body, { body });

  it('comes as far as the contract knows it', async () => {
    expect((await ask('{"lid":"cork","size":{"ml":30},"extra":1}')).body).toEqual({ lid: 'cork', size: { ml: 30 } });
  });

  it('is refused with each field named by its path and in words', async () => {
    const { response, body } = await ask('{"lid":"","size":{"ml":"30"}}');
    expect([response.status, response.headers.get('content-type')]).toEqual([400, 'application/problem+json']);
    expect(body.errors?.map((e) => e.path)).toEqual(['lid', 'size.ml']);
    expect(body.errors?.[0]?.message).toBe('Put a lid on.');
  });

  it('is refused when it is not JSON, and when it is too much', async () => {
    expect((await ask('{"lid":')).status).toBe(400);
    expect((await ask('')).status).toBe(400);
    expect((await ask(`"${'x'.repeat(2_000_001)}"`)).status).toBe(413);
  });

  it('is refused as plain text or a form, which other sites can make a browser send', async () => {
    const [endpoint] = endpoints({ only: route }, { only: (asked) => asked.body });
    for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x']) {
      const request = new Request('http://house/api/jars', {
        method: 'POST',
        headers: { 'content-type': type },
        body: '{"lid":"cork","size":{"ml":30}}',
      });
      const asked = { request, url: new URL(request.url), locals: {} } as unknown as APIContext;
      if (!endpoint) throw new Error('a route without its endpoint');
      expect((await serve(endpoint, {}, asked)).status, type).toBe(415);
    }
  });

  it('of bytes is read as far as it may be', async () => {
    const bytes = post('/api/jars', {
      ...open,
      body: { bytes: { most: 3, what: 'A label.' } },
      answer: z.object({ size: z.number() }),
    });
    const sizeOf = (body: string) => answerOf(bytes, (asked) => ({ size: asked.body.length }), { body });
    expect((await sizeOf('abc')).body).toEqual({ size: 3 });
    expect((await sizeOf('abcd')).status).toBe(413);
  });
});

describe('an address', () => {
  const route = get('/api/jars/{id}', {
    ...open,
    params: { id: Id },
    query: { visit: MaybeId, isFull: Flag, isOpen: Mention, from: z.iso.date('Write a real date.').optional() },
    answer: z.object({ id: z.number(), visit: z.number().optional(), isFull: z.boolean(), isOpen: z.boolean() }),
  });
  const ask = (id: string, query = '') =>
    answerOf(route, ({ params, query: { visit, isFull, isOpen } }) => ({ id: params.id, visit, isFull, isOpen }), {
      address: `http://house/api/jars/${id}${query}`,
      params: { id },
    });

  it('takes only whole positive ids; anything else is not there', async () => {
    expect((await ask('12')).body).toEqual({ id: 12, isFull: false, isOpen: false });
    for (const id of ['0', '-1', '1.5', 'abc', '']) expect((await ask(id)).status, id).toBe(404);
  });

  it('is read behind the question mark too, each trouble by its name', async () => {
    expect((await ask('12', '?visit=7&isFull=1')).body).toMatchObject({ id: 12, visit: 7, isFull: true });
    expect((await ask('12', '?visit=')).body).toEqual({ id: 12, isFull: false, isOpen: false });
    expect((await ask('12', '?isFull=&isOpen=')).body).toEqual({ id: 12, isFull: false, isOpen: true });
    const { status, body } = await ask('12', '?from=yesterday');
    expect([status, body.errors]).toEqual([400, [{ path: 'from', message: 'Write a real date.' }]]);
  });
});

describe('an answer', () => {
  const route = post('/api/jars', { ...open, answer: saved({ id: z.number() }), audit: ['client added'] });
  const ask = (handle: Handler<typeof route>) => answerOf(route, handle);

  it('is the saved thing, or the problem that a refusal is', async () => {
    expect((await ask(() => ({ kind: 'saved', id: 3 }))).body).toEqual({ kind: 'saved', id: 3 });
    expect((await ask(() => undefined)).body.title).toBe('There is no such jar');
    expect((await ask(() => ({ kind: 'not-found' }))).status).toBe(404);
    expect((await ask(() => ({ kind: 'edited-elsewhere' }))).status).toBe(409);
    expect((await ask(() => ({ kind: 'refused', errors: [{ path: 'lid', message: 'x' }] }))).status).toBe(400);
  });

  it('gives nothing away of what went wrong, nor says that nothing was stored', async () => {
    const { status, text } = await ask(() => {
      throw new Error('secret: the cellar key');
    });
    expect(status).toBe(500);
    expect(text).not.toContain('cellar');
    expect(text).not.toMatch(/nothing was/i);
  });

  it.each(['SQLITE_FULL', 'ENOSPC'])('says when the disk is full (%s), and what to do', async (code) => {
    const { status, body } = await ask(() => {
      throw Object.assign(new Error('no room'), { code });
    });
    expect([status, body.title]).toEqual([507, expect.stringContaining('make room')]);
  });

  it('passes on a refusal of the core with its fields', async () => {
    const { body } = await ask(() => unwrap({ ok: false, errors: [{ path: 'focus', message: 'Choose.' }] }));
    expect(body).toMatchObject({ status: 400, errors: [{ path: 'focus', message: 'Choose.' }] });
    expect(unwrap({ ok: true, value: 7 })).toBe(7);
  });

  it('may be a file with any name', () => {
    const { headers } = fileAnswer(file('text/csv'), 'a,b', 'Zoë’s oils.csv');
    expect(headers.get('content-type')).toBe('text/csv; charset=utf-8');
    expect(headers.get('content-disposition')).toBe("attachment; filename*=UTF-8''Zo%C3%AB%E2%80%99s%20oils.csv");
  });
});

describe('while tests run', () => {
  const route = post('/api/jars', { ...open, answer: saved({ id: z.number() }), audit: ['client added'] });

  afterEach(() => {
    vi.unstubAllEnvs();
    vi.resetModules();
  });

  /** The same modules as a server that checks has them. */
  async function checking() {
    vi.stubEnv('VELVET_STONE_CHECK', '1');
    vi.resetModules();
    const [{ endpoints: make, serve: run }, asking] = await Promise.all([
      import('./endpoint'),
      import('../shared/asking'),
    ]);
    return {
      expectAudit: asking.expectAudit,
      statusOf: async (handle: Handler<typeof route>) => {
        const [endpoint] = make({ only: route }, { only: handle });
        if (!endpoint) throw new Error('a route without its endpoint');
        return (await run(endpoint, {}, context())).status;
      },
    };
  }

  it('holds answers against their route', async () => {
    const { statusOf } = await checking();
    expect(await statusOf(() => ({ kind: 'saved', id: 3 }))).toBe(200);
    expect(await statusOf(() => JSON.parse('{"kind":"saved","id":"three"}') as { kind: 'saved'; id: number })).toBe(
      500,
    );
  });

  it('holds entries of the book against their route', async () => {
    const { statusOf, expectAudit: note } = await checking();
    const writing = (action: Parameters<typeof expectAudit>[0]) =>
      statusOf(() => {
        note(action);
        return { kind: 'saved', id: 3 };
      });
    expect(await writing('client added')).toBe(200);
    expect(await writing('client erased')).toBe(500);
  });
});

describe('problems', () => {
  it('have a type that is a page of ours', async () => {
    for (const response of [conflict('x'), notFound('visit'), invalidFields([])]) {
      const body = (await response.json()) as { type: string; status: number };
      expect(body.type).toMatch(/^\/problems\/[a-z-]+$/);
      expect(body.status).toBe(response.status);
    }
  });
});
