import type { Problem } from '../../contracts/problem';
import type { APIContext } from 'astro';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { answer } from './answer';
import { endpoint, idOf, readBody, unwrap } from './endpoint';
import { conflict, invalidFields, notFound } from './problem';

const context = (given: { readonly body?: string; readonly id?: string }): APIContext =>
  ({
    request: new Request('http://house/api/x', {
      method: 'POST',
      ...(given.body === undefined ? {} : { body: given.body }),
    }),
    url: new URL('http://house/api/x'),
    params: { id: given.id },
  }) as unknown as APIContext;

const Jar = z.object({ lid: z.string().min(1, 'Put a lid on.'), size: z.object({ ml: z.number() }) });
const echo = endpoint(async ({ request }) => Response.json(await readBody(request, Jar)));
const ask = async (body: string) => {
  const response = await echo(context({ body }));
  return {
    status: response.status,
    type: response.headers.get('content-type'),
    body: (await response.json()) as { errors?: { path: string; message: string }[]; title?: string },
  };
};

describe('reading a body', () => {
  it('hands over what fits the contract', async () => {
    expect((await ask('{"lid":"cork","size":{"ml":30},"extra":1}')).body).toEqual({ lid: 'cork', size: { ml: 30 } });
  });

  it('names each field that does not, by its path and in words', async () => {
    const { status, type, body } = await ask('{"lid":"","size":{"ml":"30"}}');
    expect([status, type]).toEqual([400, 'application/problem+json']);
    expect(body.errors?.map((e) => e.path)).toEqual(['lid', 'size.ml']);
    expect(body.errors?.[0]?.message).toBe('Put a lid on.');
  });

  it('refuses what is not JSON and what is too much', async () => {
    expect((await ask('{"lid":')).status).toBe(400);
    expect((await ask('')).status).toBe(400);
    expect((await ask(`"${'x'.repeat(2_000_001)}"`)).status).toBe(413);
  });
});

describe('an endpoint', () => {
  it('answers anything thrown with a problem, and gives nothing away', async () => {
    const response = await endpoint(() => {
      throw new Error('secret: the cellar key');
    })(context({}));
    expect(response.status).toBe(500);
    expect(await response.text()).not.toContain('cellar');
  });

  it.each(['SQLITE_FULL', 'ENOSPC'])('says when the disk is full (%s), and what to do', async (code) => {
    const response = await endpoint(() => {
      throw Object.assign(new Error('no room'), { code });
    })(context({}));
    expect([response.status, ((await response.json()) as Problem).title]).toEqual([
      507,
      expect.stringContaining('make room'),
    ]);
  });

  it('passes on a refusal of the core with its fields', async () => {
    const refusing = endpoint(() =>
      Response.json(unwrap({ ok: false, errors: [{ path: 'focus', message: 'Choose.' }] })),
    );
    const response = await refusing(context({}));
    expect(await response.json()).toMatchObject({ status: 400, errors: [{ path: 'focus', message: 'Choose.' }] });
    expect(unwrap({ ok: true, value: 7 })).toBe(7);
  });

  it('takes only whole positive ids', () => {
    expect(idOf(context({ id: '12' }), 'visit')).toBe(12);
    for (const id of ['0', '-1', '1.5', 'abc', '']) expect(() => idOf(context({ id }), 'visit')).toThrow();
  });
});

describe('answers', () => {
  it('are the saved thing, or the problem that it is', async () => {
    expect(await answer({ kind: 'saved' }, 'plan').json()).toEqual({ kind: 'saved' });
    expect(answer({ kind: 'not-found' }, 'plan').status).toBe(404);
    expect(answer({ kind: 'edited-elsewhere' }, 'plan').status).toBe(409);
    expect(answer({ kind: 'refused', errors: [] }, 'plan').status).toBe(400);
  });

  it('have a type that is a page of ours', async () => {
    for (const response of [conflict('x'), notFound('visit'), invalidFields([])]) {
      const body = (await response.json()) as { type: string; status: number };
      expect(body.type).toMatch(/^\/problems\/[a-z-]+$/);
      expect(body.status).toBe(response.status);
    }
  });
});
