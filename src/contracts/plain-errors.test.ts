import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { allRoutes } from './routes';
import { isBytes } from './routes/route';
import { plainError, speakPlainly } from './plain-errors';

speakPlainly();

const said = (schema: z.ZodType, value: unknown) => schema.safeParse(value).error?.issues.map(({ message }) => message);

describe('what is said of a field', () => {
  it.each([
    ['a missing number', z.object({ a: z.number() }), {}, 'This is missing: give it as a number.'],
    ['text for a number', z.number(), '5', 'Give this as a number.'],
    ['a number for text', z.string(), 5, 'Give this as text.'],
    ['a half for a whole', z.number().int(), 0.5, 'Give this as a whole number.'],
    ['a word for yes or no', z.boolean(), 'yes', 'Give this as true or false.'],
    ['one for a list', z.array(z.number()), 5, 'Give this as a list.'],
    ['a list for an object', z.object({}), [], 'Give this as an object with its fields.'],
    ['none of the choices', z.enum(['left', 'right']), 'up', 'Choose one of left, right.'],
    ['not the only choice', z.literal('age'), 'zip', 'This can only be age.'],
    ['nothing written', z.string().min(1), '', 'Write something here.'],
    ['too little written', z.string().min(4), 'abc', 'Write at least 4 characters.'],
    ['too much written', z.string().max(3), 'abcd', 'Keep this within 3 characters.'],
    ['too little', z.number().min(3), 2, 'Give 3 or more.'],
    ['not more than nothing', z.number().gt(0), 0, 'Give more than 0.'],
    ['too much', z.number().max(3), 4, 'Give 3 or less.'],
    ['an empty list', z.array(z.number()).min(1), [], 'Give at least one.'],
    ['a list that is too long', z.array(z.number()).max(1), [1, 2], 'Give at most 1 of these.'],
    ['a field that there is not', z.strictObject({}), { b: 1 }, 'There is no field “b” here: take it out.'],
    ['no multiple', z.number().multipleOf(5), 7, 'Give a multiple of 5.'],
  ])('%s', (_, schema, value, message) => {
    expect(said(schema, value)).toEqual([message]);
  });

  it('is what its schema says, where that has words of its own', () => {
    expect(said(z.number('Give minutes.'), 'x')).toEqual(['Give minutes.']);
    expect(said(z.string().min(1, 'Write a name.'), '')).toEqual(['Write a name.']);
  });

  it('names some of many choices, and how many more there are', () => {
    const many = Array.from({ length: 20 }, (_, i) => `c${i}`) as [string, ...string[]];
    expect(said(z.enum(many), 'x')?.[0]).toMatch(/^Choose one of c0, .*c11 and 8 more\.$/);
  });

  it('is left to the library for what it knows better', () => {
    expect(plainError({ code: 'custom', input: 1, path: [] } as never)).toBeUndefined();
  });
});

describe('no route', () => {
  const bodies = allRoutes.flatMap((route) =>
    'body' in route && route.body && !isBytes(route.body)
      ? [[`${route.method} ${route.path}`, route.body as z.ZodType] as const]
      : [],
  );
  it.each(bodies)('%s speaks of types that only programmers know', (_, body) => {
    for (const value of [null, 'x', 5, [], {}]) {
      const issues = body.safeParse(value).error?.issues ?? [];
      for (const { message } of issues) expect(message).not.toMatch(/^(Invalid input|Too small|Too big|Unrecognized)/);
    }
  });
});
