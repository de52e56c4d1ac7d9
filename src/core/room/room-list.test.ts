import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { spreadTable } from '../../catalogue/oils/spread';
import { expandChoices } from '../treatment/expand';
import { planTreatment } from '../treatment/plan-treatment';
import type { Limits } from '../screening/tables';
import { mediumMl, skinAreaCm2, skinSurfaceM2 } from './medium';
import { roomList, type RoomHabits } from './room-list';

const habits: RoomHabits = {
  stoneWarmUpMinutes: 40,
  hotStones: 'set it to 53°: 8 palm',
  coolStones: 'at 8°: 2 small',
  spread: spreadTable,
};

function roomFor(protocols: readonly string[], minutes = 90, limits: Limits = {}) {
  const choices = protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol }));
  const blocks = expandChoices(anatomy, shippedLibrary, choices, null);
  const plan = planTreatment(
    anatomy.groups,
    { blocks, leftOut: [], mostSeconds: new Map() },
    { minutes, isShort: false, fill: false },
  );
  return { plan, items: roomList(anatomy.groups, plan.blocks, plan.start.position, habits, limits) };
}
const what = (protocols: readonly string[]) => roomFor(protocols).items.map((item) => item.what);

describe('the room before a treatment', () => {
  it('switches the stone bath on so long before that the first stone is warm when it is taken', () => {
    const { plan, items } = roomFor(['open-and-clear', 'stones-back']);
    const heat = items.find(({ kind }) => kind === 'heat');
    const first = plan.blocks.find(({ hands }) => hands === 'stone');
    expect(heat?.minutesBefore).toBe(Math.max(0, 40 - Math.floor((first?.startsAt ?? 0) / 60)));
    expect(heat?.what).toBe('Fill the stone bath, set it to 53°: 8 palm');
  });

  it('has the earliest first, and only what the treatment needs', () => {
    const { items } = roomFor(['stones-neck', 'mouth-gloved', 'face-roller'], 120);
    const times = items.map(({ minutesBefore }) => minutesBefore);
    expect(times).toEqual([...times].sort((a, b) => b - a));
    const words = items.map((item) => item.what).join('; ');
    expect(words).toContain('2 pairs of gloves');
    expect(words).toContain('large roller');
    expect(words).not.toContain('brush');
    expect(what(['dry-brush-body']).join('; ')).toContain('dry brush');
    expect(what(['dry-brush-body']).join('; ')).not.toMatch(/stone|oil|glove/);
  });

  it('names the cup by what is poured, and fills none for drops straight onto the skin', () => {
    expect(what(['scalp-shoulders']).join('; ')).toMatch(/Oil for scalp and shoulders in the cup: [\d.]+ mL/);
    expect(what(['stones-neck']).join('; ')).toMatch(/A little oil for neck and shoulders in the cup/);
    expect(what(['lifting-facial']).join('; ')).toMatch(/Face oil: [\d.]+ mL/);
    expect(what(['lifting-facial']).join('; ')).not.toContain('Body oil');
    expect(what(['aroma-whole-body']).join('; ')).toContain('Body oil in the cup');
    expect(what(['spine-oil-layers']).join('; ')).not.toMatch(/oil in the cup/i);
  });

  it('asks for something to glide on wherever a tool scrapes', () => {
    expect(what(['tool-neck-jaw'])).toContain('Something to glide on for the scraping tool');
    expect(what(['face-roller'])).not.toContain('Something to glide on for the scraping tool');
  });

  it('lays the bed for how the client lies first, and says what comes then', () => {
    const bed = roomFor(['aroma-whole-body'], 120).items.find((item) => item.what.startsWith('Bed'));
    expect([bed?.what, bed?.why]).toEqual([
      'Bed: sheet, cover, two towels, a bolster under the ankles and the face rest',
      'Then a bolster under the knees.',
    ]);
  });

  it('needs nothing where nothing is given', () => {
    expect(roomList(anatomy.groups, [], 'supine', habits)).toEqual([]);
  });
});

describe('the room of a client with limits', () => {
  const room = (protocol: string, limits: Limits) =>
    new Map(roomFor([protocol], 120, limits).items.map(({ id, what }) => [id, what]));

  it.each([
    ['stones-back', { avoidPosition: ['supine-flat'] }, 'bed', 'face rest'],
    ['stones-back', { skipTechniques: ['face-cradle'] }, 'bed', 'cushion under the forehead instead of the face rest'],
    ['aroma-whole-body', { skipTechniques: ['diffuser'] }, 'air', 'no scent'],
    ['aroma-whole-body', { noScent: true }, 'air', 'no scent'],
    ['aroma-whole-body', { noHeat: true }, 'bed-heating', 'off'],
    ['lifting-facial', {}, 'cloths', 'Warm moist cloths'],
    ['lifting-facial', { skipTechniques: ['hot-towel'] }, 'cloths', 'Cool moist cloths'],
    ['lifting-facial', { skipTechniques: ['steam'] }, 'cloths', 'Cool moist cloths'],
    ['lifting-facial', { avoidPosition: ['supine-flat'] }, 'bed', 'the head end raised'],
    ['mouth-gloved', { gloves: true, avoidMaterials: ['latex'] }, 'gloves', '2 pairs of gloves without latex'],
    ['lifting-facial', { gloves: true }, 'gloves', '2 pairs of gloves, one to spare'],
    ['lifting-facial', { slowRise: true }, 'chair', 'chair'],
    ['lifting-facial', { guardian: true }, 'guardian', 'seat'],
  ] as const)('%s under %j has %s: %s', (protocol, limits, id, words) => {
    expect(room(protocol, limits).get(id)).toContain(words);
  });

  it('has none of it where nothing asks for it', () => {
    const items = room('aroma-whole-body', {});
    for (const id of ['air', 'bed-heating', 'gloves', 'chair', 'guardian'] as const) expect(items.has(id)).toBe(false);
  });

  it('names every item once', () => {
    const ids = roomFor(['stones-neck', 'mouth-gloved', 'face-roller'], 120).items.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).not.toContain(undefined);
  });
});

describe('how far an oil goes', () => {
  const everywhere = new Set(
    spreadTable.shares.flatMap(({ regions }) => regions.flatMap((name) => [`${name}.left`, `${name}.right`])),
  );

  it('has shares that make up the whole skin', () => {
    const sum = spreadTable.shares.reduce((total, { percent, isEach }) => total + percent * (isEach ? 2 : 1), 0);
    expect(sum).toBeCloseTo(100, 9);
    expect(skinAreaCm2(spreadTable, everywhere)).toBeCloseTo(17_500, 6);
  });

  it('names every region of the body once', () => {
    const named = spreadTable.shares.flatMap(({ regions }) => regions);
    expect(new Set(named).size).toBe(named.length);
    for (const { id } of anatomy.territories.values()) expect(named, id).toContain(id.split('.')[0]);
  });

  it('is rounded up to half a millilitre', () => {
    expect(mediumMl(spreadTable, 900, 'massage')).toBe(1);
    expect(mediumMl(spreadTable, 1000, 'massage')).toBe(1);
    expect(mediumMl(spreadTable, 1001, 'massage')).toBe(1.5);
    expect(mediumMl(spreadTable, 600, 'facial')).toBe(1);
    expect(mediumMl(spreadTable, 0, 'facial')).toBe(0);
  });

  it('takes some fifteen millilitres for a whole body, face and scalp with what is left on the hands', () => {
    const item = roomFor(['aroma-whole-body'], 120).items.find(({ kind }) => kind === 'blend');
    const ml = Number(/(\d+(\.\d)?) mL/.exec(item?.what ?? '')?.[1]);
    expect(ml).toBeGreaterThan(9);
    expect(ml).toBeLessThanOrEqual(16.5);
  });

  it('follows the surface of the body after Mosteller', () => {
    expect(skinSurfaceM2(172, 64)).toBeCloseTo(1.7487, 4);
  });
});
