import { describe, expect, it } from 'vitest';
import {
  StoneBathResponse,
  StoneContactResponse,
  StoneGlideResponse,
  StoneRotationResponse,
} from '../../src/contracts/stones';
import { post } from './client';

const laid = {
  ...{ material: 'basalt', thicknessMm: 25, startC: 50, mode: 'still', towelLayers: 1, seconds: 300 },
  ...{ skin: 'normal', skinStartC: 33, ambientC: 24 },
};
const set = {
  ...{ material: 'basalt', lengthMm: 80, widthMm: 60, thicknessMm: 25, startC: 21, bathC: 54 },
  ...{ toleranceC: 1, waterLitres: 6, count: 12, heaterW: 500 },
};
const glide = { material: 'basalt', lengthMm: 80, widthMm: 60, thicknessMm: 25, startC: 52, usefulC: 42, flip: true };
const step = {
  id: 'back',
  startS: 0,
  durationS: 420,
  class: 'palm',
  count: 2,
  mode: 'moving',
  usefulC: 42,
  firstContactC: 52,
};
const rotation = { bathC: 54, stock: [{ class: 'palm', material: 'basalt', count: 6 }], steps: [step] };

const pathsOf = (body: { readonly errors: readonly { readonly path: string }[] }) =>
  body.errors.map(({ path }) => path);

describe('POST /api/compute/stone-contact', () => {
  it('answers in the documented shape', async () => {
    const { status, body } = await post('/api/compute/stone-contact', laid);
    expect(status).toBe(200);
    expect(StoneContactResponse.safeParse(body).error).toBeUndefined();
    expect(body.interfaceC).toBeCloseTo(44.39, 1);
    expect(body.basalPeakC).toBeCloseTo(39.55, 1);
    expect([body.burnRisk, body.basalPeakAtS, body.curve.length]).toEqual(['caution', 300, 61]);
  });

  it('takes what is left out as bare skin of the usual kind', async () => {
    const { body } = await post('/api/compute/stone-contact', {
      material: 'basalt',
      thicknessMm: 25,
      startC: 50,
      seconds: 300,
    });
    expect(body.basalPeakC).toBeCloseTo(44.59, 1);
    expect(body.burnRisk).toBe('stop');
  });

  it.each([
    ['a stone of 0 mm', { thicknessMm: 0 }, 'thicknessMm'],
    ['a stone of 95 °C', { startC: 95 }, 'startC'],
    ['an unknown material', { material: 'slate' }, 'material'],
    ['half a layer', { towelLayers: 0.5 }, 'towelLayers'],
    ['null for what may be left out', { skin: null }, 'skin'],
    ['no seconds', { seconds: undefined }, 'seconds'],
    ['text for a number', { startC: 'warm' }, 'startC'],
  ])('refuses %s at its field', async (_, change, path) => {
    const { status, type, body } = await post('/api/compute/stone-contact', { ...laid, ...change });
    expect([status, type.split(';')[0], body.type]).toEqual([
      400,
      'application/problem+json',
      '/problems/invalid-input',
    ]);
    expect(pathsOf(body)).toEqual([path]);
  });
});

describe('POST /api/compute/stone-bath', () => {
  it('answers in the documented shape', async () => {
    const { status, body } = await post('/api/compute/stone-bath', set);
    expect(status).toBe(200);
    expect(StoneBathResponse.safeParse(body).error).toBeUndefined();
    expect(body.massG).toBeCloseTo(182.2, 1);
    expect(body.readyS).toBeCloseTo(422, 0);
    expect(body.bathDipC).toBeCloseTo(2.28, 2);
    expect(body.recoverS).toBeCloseTo(138, 0);
  });

  it('has no time of recovery in a cold bath', async () => {
    const { body } = await post('/api/compute/stone-bath', { ...set, material: 'marble', bathC: 8 });
    expect([body.recoverS, body.bathDipC < 0]).toEqual([null, true]);
  });

  it.each([
    ['selenite, which dissolves', { material: 'selenite' }, 'material'],
    ['a bath of 95 °C', { bathC: 95 }, 'bathC'],
    ['500 stones', { count: 500 }, 'count'],
    ['half a stone', { count: 1.5 }, 'count'],
    ['a mass of null', { massG: null }, 'massG'],
  ])('refuses %s', async (_, change, path) => {
    const { status, body } = await post('/api/compute/stone-bath', { ...set, ...change });
    expect([status, pathsOf(body)]).toEqual([400, [path]]);
  });
});

describe('POST /api/compute/stone-glide', () => {
  it('answers in the documented shape', async () => {
    const { status, body } = await post('/api/compute/stone-glide', glide);
    expect(status).toBe(200);
    expect(StoneGlideResponse.safeParse(body).error).toBeUndefined();
    expect(body.usefulS).toBeCloseTo(148.7, 0);
    expect(body.curve[0]).toMatchObject({ s: 0, contactC: 52, otherC: 52 });
    expect(body.curve.at(-1).s).toBeCloseTo(body.usefulS, 9);
  });

  it('does not turn the stone unless told, and says when a limit is never reached', async () => {
    const { flip: _, ...plain } = glide;
    expect((await post('/api/compute/stone-glide', plain)).body.usefulS).toBeCloseTo(119.2, 0);
    const never = await post('/api/compute/stone-glide', { ...glide, usefulC: 33 });
    expect([never.body.usefulS, never.body.curve.at(-1).s]).toEqual([null, 3600]);
  });
});

describe('POST /api/compute/stone-rotation', () => {
  it('has steps go on with the stones in the hand, as one step of the whole span', async () => {
    const first = { ...step, durationS: 240 };
    const second = { ...step, id: 'shoulders', startS: 270, durationS: 150, carry: true };
    const [chain, single] = await Promise.all([
      post('/api/compute/stone-rotation', { ...rotation, steps: [first, second] }),
      post('/api/compute/stone-rotation', rotation),
    ]);
    expect(chain.body.timing.map((one: { step: string }) => one.step)).toEqual([step.id]);
    for (const key of ['swaps', 'stonesInPlay', 'feasible']) expect(chain.body[key]).toEqual(single.body[key]);
  });

  it.each([
    ['too long after', { startS: 500 }],
    ['of another number', { count: 1 }],
  ])('refuses to go on %s', async (_, change) => {
    const second = { ...step, id: 'shoulders', startS: 430, durationS: 60, carry: true, ...change };
    const { status, body } = await post('/api/compute/stone-rotation', { ...rotation, steps: [step, second] });
    expect([status, body.errors[0].path]).toEqual([400, 'steps.1.carry']);
  });

  it('answers in the documented shape', async () => {
    const { status, body } = await post('/api/compute/stone-rotation', rotation);
    expect(status).toBe(200);
    expect(StoneRotationResponse.safeParse(body).error).toBeUndefined();
    expect(body).toMatchObject({
      feasible: false,
      stonesInPlay: { palm: 8 },
      swaps: 6,
      timing: [{ step: 'back', takeC: 52, usefulS: 135, reheatS: 300, restS: 75, runs: 4 }],
      shortages: [{ class: 'palm', short: 2, fromS: 240, toS: 405 }],
    });
    expect(body.uses).toHaveLength(8);
  });

  it('takes two stocks of one size in two materials', async () => {
    const stock = [...rotation.stock, { class: 'palm-marble', material: 'marble', count: 2 }];
    const { status, body } = await post('/api/compute/stone-rotation', {
      ...rotation,
      stock,
      steps: [{ ...step, class: 'palm-marble', durationS: 60 }],
    });
    expect([status, Object.keys(body.stonesInPlay)]).toEqual([200, ['palm-marble']]);
  });

  it('blocks a step whose stones are not there, instead of refusing all', async () => {
    const { status, body } = await post('/api/compute/stone-rotation', {
      ...rotation,
      steps: [{ ...step, class: 'toe' }],
    });
    expect([status, body.blocked]).toEqual([200, [{ step: 'back', reason: 'no-stock' }]]);
  });

  it.each([
    ['a bath of 95 °C', { bathC: 95 }, 'bathC'],
    ['500 stones', { stock: [{ class: 'palm', material: 'basalt', count: 500 }] }, 'stock.0.count'],
    ['a size that there is not', { stock: [{ class: 'boulder', material: 'basalt', count: 5 }] }, 'stock.0.class'],
    ['a step twice', { steps: [step, step] }, 'steps.1.id'],
    ['a stock twice', { stock: [...rotation.stock, ...rotation.stock] }, 'stock.1.class'],
    ['a step of no length', { steps: [{ ...step, durationS: 0 }] }, 'steps.0.durationS'],
  ])('refuses %s', async (_, change, path) => {
    const { status, body } = await post('/api/compute/stone-rotation', { ...rotation, ...change });
    expect([status, pathsOf(body)]).toEqual([400, [path]]);
  });
});
