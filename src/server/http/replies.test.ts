import { describe, expect, it } from 'vitest';
import { draftKeyOf, once } from './replies';

let made = 0;
const fresh = () => `somebody POST /api/x ${(made += 1)}`;
const counting = (status = 200) => {
  let times = 0;
  return {
    answer: () => Promise.resolve(Response.json({ times: (times += 1) }, { status })),
    times: () => times,
  };
};

describe('a draft that arrives twice', () => {
  it('is answered the same, and stored once', async () => {
    const key = fresh();
    const { answer, times } = counting();
    const first = await once(key, answer);
    const second = await once(key, answer);
    expect(await first.json()).toEqual({ times: 1 });
    expect(await second.json()).toEqual({ times: 1 });
    expect(times()).toBe(1);
  });

  it('is stored once, too, when it comes again before the first was answered', async () => {
    const key = fresh();
    let times = 0;
    const slowly = async () => {
      times += 1;
      await new Promise((resolve) => setTimeout(resolve, 20));
      return Response.json({ times });
    };
    const answers = await Promise.all([once(key, slowly), once(key, slowly), once(key, slowly)]);
    for (const one of answers) expect(await one.json()).toEqual({ times: 1 });
  });

  it('is looked at anew when it was refused, or something broke', async () => {
    const key = fresh();
    const refusing = counting(400);
    await once(key, refusing.answer);
    await once(key, refusing.answer);
    expect(refusing.times()).toBe(2);
    await expect(once(key, () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect((await once(key, counting().answer)).status).toBe(200);
  });

  it('is another draft after ten minutes', async () => {
    const key = fresh();
    const { answer, times } = counting();
    await once(key, answer, 0);
    await once(key, answer, 11 * 60_000);
    expect(times()).toBe(2);
  });

  it('does not fill the memory: the oldest answers go when there are too many', async () => {
    const big = () => Promise.resolve(new Response(new Uint8Array(5_000_000)));
    const keys = [fresh(), fresh(), fresh(), fresh(), fresh()];
    for (const key of keys) await once(key, big);
    const again = counting();
    await once(keys[0] ?? '', again.answer);
    expect(again.times()).toBe(1);
    await once(keys[4] ?? '', again.answer);
    expect(again.times()).toBe(1);
  });
});

describe('which draft a request is', () => {
  const asked = (headers: Record<string, string>, path = '/api/x') =>
    new Request(`http://house.test${path}`, { method: 'POST', headers });

  it('is its number, of its writer, to its address', () => {
    const key = draftKeyOf(asked({ 'idempotency-key': 'abc' }), 'person 3');
    expect(key).toBe('person 3 POST /api/x abc');
    expect(draftKeyOf(asked({ 'idempotency-key': 'abc' }), 'person 4')).not.toBe(key);
    expect(draftKeyOf(asked({ 'idempotency-key': 'abc' }, '/api/y'), 'person 3')).not.toBe(key);
  });

  it('is unknown where it does not say, or says too much', () => {
    expect(draftKeyOf(asked({}), 'person 3')).toBeUndefined();
    expect(draftKeyOf(asked({ 'idempotency-key': '' }), 'person 3')).toBeUndefined();
    expect(draftKeyOf(asked({ 'idempotency-key': 'x'.repeat(101) }), 'person 3')).toBeUndefined();
  });
});
