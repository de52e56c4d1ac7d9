import { describe, expect, it } from 'vitest';
import { BlendBestResponse, BlendCheckResponse, LayeredDropsResponse } from '../../src/contracts/oils';
import { post } from './client';

const client = { age: 44, conditions: [] as string[], skin: 'normal' };
const blend = {
  ...{ volumeMl: 30, carrier: 'grapeseed', area: 'body', client, basis: 'max' },
  parts: [
    { oil: 'lavender', drops: 9 },
    { oil: 'marjoram-sweet', drops: 6 },
  ],
};
const best = {
  ...{ volumeMl: 10, area: 'body', client, targetPercent: 2, maxOils: 3 },
  candidates: [
    { oil: 'lavender', costPerDrop: 4, maxDrops: 60 },
    { oil: 'orange-sweet', costPerDrop: 2 },
    { oil: 'vetiver', costPerDrop: 9 },
    { oil: 'marjoram-sweet', costPerDrop: 5 },
  ],
  wanted: [
    { use: 'sleep', weight: 2 },
    { use: 'muscle-ease', weight: 1 },
  ],
  notes: { top: 0.3, middle: 0.5, base: 0.2 },
};
const neat = { areaCm2: 900, carrierMl: 0, parts: [{ oil: 'wintergreen', drops: 8 }], client };

const pathsOf = (body: { readonly errors: readonly { readonly path: string }[] }) =>
  body.errors.map(({ path }) => path);
async function refusal(path: string, body: unknown) {
  const answer = await post(path, body);
  return [answer.status, pathsOf(answer.body)] as const;
}

describe('POST /api/compute/blend-check', () => {
  it('counts what lies on the same skin already', async () => {
    const asked = { ...blend, parts: [{ oil: 'wintergreen', drops: 10 }] };
    const already = [{ area: blend.area, parts: [{ oil: 'wintergreen', drops: 60 }] }];
    const [alone, together, elsewhere] = await Promise.all([
      post('/api/compute/blend-check', asked),
      post('/api/compute/blend-check', { ...asked, already }),
      post('/api/compute/blend-check', { ...asked, already: [{ ...already[0], area: 'bath' }] }),
    ]);
    expect([together.body.verdict, together.body.dropsLeft]).toEqual(['over', [{ oil: 'wintergreen', drops: 0 }]]);
    expect(elsewhere.body).toMatchObject(alone.body);
    const unknown = [{ area: 'body', parts: [{ oil: 'no-such-oil', drops: 1 }] }];
    const refused = await post('/api/compute/blend-check', { ...asked, already: unknown });
    expect([refused.status, refused.body.errors[0].path]).toEqual([400, 'already.0.parts.0.oil']);
  });

  it('answers in the documented shape and roundings', async () => {
    const { status, body } = await post('/api/compute/blend-check', blend);
    expect(status).toBe(200);
    expect(BlendCheckResponse.safeParse(body).error).toBeUndefined();
    expect(body).toMatchObject({
      ...{ totalPercent: 1.8519, carrierMl: 29.44, verdict: 'ok', findings: [], withinGuide: true, guideMaxPercent: 3 },
      phototoxic: { sumOfFractions: 0, hoursOutOfSun: 0 },
    });
    expect(body.parts[0]).toEqual({
      ...{ oil: 'lavender', drops: 9, ml: 0.3333, percent: 1.1111, limitPercent: null, shareOfLimit: null },
    });
    expect(body.constituents[0]).toEqual({ id: 'linalool', percent: 0.6185, limitPercent: null, shareOfLimit: null });
  });

  it.each([
    ['no volume', { volumeMl: 0 }, 400, ['volumeMl']],
    ['an unknown oil', { parts: [{ oil: 'moonflower', drops: 1 }] }, 400, ['parts.0.oil']],
    ['an unknown carrier', { carrier: 'motor-oil' }, 400, ['carrier']],
    ['an unknown condition', { client: { ...client, conditions: ['hiccups'] } }, 400, ['client.conditions.0']],
    ['half a drop', { parts: [{ oil: 'lavender', drops: 1.5 }] }, 400, ['parts.0.drops']],
    ['fewer than none', { parts: [{ oil: 'lavender', drops: -1 }] }, 400, ['parts.0.drops']],
    ['5,000 drops', { parts: [{ oil: 'lavender', drops: 5000 }] }, 422, ['parts']],
    ['an oil twice', { parts: [blend.parts[0], blend.parts[0]] }, 400, ['parts.1.oil']],
    ['another area', { area: 'hair' }, 400, ['area']],
  ])('refuses %s and names the field', async (_, change, status, paths) => {
    expect(await refusal('/api/compute/blend-check', { ...blend, ...change })).toEqual([status, paths]);
  });
});

describe('POST /api/compute/blend-best', () => {
  it('finds the documented blend', async () => {
    const { status, body } = await post('/api/compute/blend-best', best);
    expect(status).toBe(200);
    expect(BlendBestResponse.safeParse(body).error).toBeUndefined();
    expect(body.parts).toEqual([
      { oil: 'lavender', drops: 3 },
      { oil: 'orange-sweet', drops: 1 },
      { oil: 'vetiver', drops: 1 },
    ]);
    expect([body.objective, body.optimal]).toEqual([0.7987, true]);
  });

  it.each([
    ['a target above the guide', { targetPercent: 3.5 }, 422, ['targetPercent']],
    ['less than two drops', { targetPercent: 0.5 }, 422, ['volumeMl']],
    ['an unknown oil', { candidates: [{ oil: 'moonflower' }] }, 400, ['candidates.0.oil']],
    ['an unknown use', { wanted: [{ use: 'luck', weight: 1 }] }, 400, ['wanted.0.use']],
    ['no oils', { candidates: [] }, 400, ['candidates']],
  ])('refuses %s and names the field', async (_, change, status, paths) => {
    expect(await refusal('/api/compute/blend-best', { ...best, ...change })).toEqual([status, paths]);
  });
});

describe('POST /api/compute/layered-drops', () => {
  it('says what neat drops come to, and what they would be diluted', async () => {
    const { status, body } = await post('/api/compute/layered-drops', neat);
    expect(status).toBe(200);
    expect(LayeredDropsResponse.safeParse(body).error).toBeUndefined();
    expect(body).toMatchObject({ effectivePercent: 37.04, filmMl: 0.9, verdict: 'over' });
    expect(body.dilutedEquivalent).toMatchObject({
      ...{ carrier: 'grapeseed', bottleMl: 30, maxTotalPercent: 2.4, totalPercent: 2.3611 },
      parts: [{ oil: 'wintergreen', drops: 17 }],
    });
  });

  it.each([
    ['no area', { areaCm2: 0 }, ['areaCm2']],
    ['no oils', { parts: [] }, ['parts']],
    ['less than no carrier', { carrierMl: -1 }, ['carrierMl']],
  ])('refuses %s and names the field', async (_, change, paths) => {
    expect(await refusal('/api/compute/layered-drops', { ...neat, ...change })).toEqual([400, paths]);
  });
});
