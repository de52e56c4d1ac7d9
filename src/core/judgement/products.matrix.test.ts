import type { Drops } from '../quantities';
import type { OilId } from '../ids';
import { describe, expect, it } from 'vitest';
import { brought, seeded } from '../../../tests/brought';
import { type Brought, judge } from '../../../tests/judged-client';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { oilBook } from '../../catalogue/oils/oils';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import { stoneBook } from '../../catalogue/stones/stones';
import { checkBlend } from '../oils/check';
import type { OilClient } from '../oils/client';
import { oilClientOf } from '../oils/judged-client';
import { oilTouches } from '../room/oil-touches';
import { firstTouchOf } from '../stones/first-touch';
import type { Judgement } from './judgement';
import { blendViolations, stoneViolations } from './product-violations';
import { stonesAt } from './visit-limits';

const conditions = [...screeningBook.conditions.values()];
const oiled = [...shippedLibrary.protocols.values()].filter(({ blocks }) =>
  blocks.some(({ hands }) => hands === 'oiled' || hands === 'stone'),
);
const contentsOf = (group: string) => {
  const { oils = [], carriers = [] } = vocabulary.oilGroups[group] ?? {};
  return new Set([...oils, ...carriers]);
};

/** A client and the oil work of one protocol, as the bench takes them. */
function bench(list: readonly Brought[], protocol: string, judgement = judge(list)) {
  const modality = shippedLibrary.protocols.get(protocol)?.modality ?? '';
  const touches = oilTouches(anatomy, shippedLibrary, [{ protocol }]);
  const who = { age: 40, conditions: list.map(({ id }) => id) };
  const work = { modalities: [modality], ...touches };
  const client = oilClientOf(screeningBook, vocabulary.oilGroups, who, judgement.screening, work);
  return { judgement, modality, touches, client };
}

const blend = (oil: OilId, drops: Drops, client: OilClient, area: 'body' | 'face') =>
  checkBlend(oilBook, { volumeMl: 30, area, client, parts: [{ oil, drops }], basis: 'max' });

/** The most drops of an oil that the bench lets into a bottle of 30 mL. */
function mostDrops(oil: OilId, client: OilClient, area: 'body' | 'face'): number {
  let drops = 0;
  while (drops < 40) {
    const check = blend(oil, drops + 1, client, area);
    if (!check?.withinGuide || check.verdict === 'over') break;
    drops += 1;
  }
  return drops;
}

const oils = ['lavender', 'sweet-orange', 'peppermint', 'rosemary'].filter((id) => oilBook.oils.has(id));
const areaOf = (protocol: string) =>
  shippedLibrary.protocols.get(protocol)?.modality.startsWith('facial') ? ('face' as const) : ('body' as const);

describe('every condition with every bottle', () => {
  it('the bench lets nothing through that the check apart finds', () => {
    const random = seeded(29);
    let limited = 0;
    for (const { id } of conditions) {
      const list = [brought(id, random)];
      const judgement = judge(list);
      for (const { id: protocol } of oiled) {
        const { client, modality, touches } = bench(list, protocol, judgement);
        const area = areaOf(protocol);
        const drops = mostDrops('lavender', client, area);
        if (drops === 0) continue;
        const check = blend('lavender', drops, client, area);
        const isOfFace = area === 'face' || touches.bodyTouchesFace;
        const places = [...anatomy.territories.values()]
          .filter(({ name }) => touches.regions.has(name) && (isOfFace || !anatomy.groups.face.has(name)))
          .filter(({ name }) => area !== 'face' || anatomy.groups.face.has(name));
        const found = blendViolations(
          {
            totalPercent: check?.totalPercent ?? Infinity,
            isScented: true,
            contents: ['lavender'],
            modalities: [modality],
            places: new Set(places.map((one) => one.id)),
          },
          judgement,
          contentsOf,
        ).filter(({ limit }) => limit !== 'noScent');
        expect(found, `${protocol} with ${JSON.stringify(list)}`).toEqual([]);
        if (client.mostPercent !== undefined && client.mostPercent < 3) limited += 1;
      }
    }
    expect(limited).toBeGreaterThan(100);
  });

  it('and finds it when the same bottle is filled as for anybody', () => {
    const list: readonly Brought[] = [{ id: 'multiple-sclerosis' }];
    const found = blendViolations(
      {
        totalPercent: 2.7,
        isScented: true,
        contents: ['lavender'],
        modalities: ['spine-oil-layering'],
        places: new Set(['back-upper.left']),
      },
      judge(list),
      contentsOf,
    );
    expect(found).toContainEqual({ step: null, limit: 'dilutionMaxPercent', most: 1, place: null });
  });

  it('one condition more never adds a drop', () => {
    const random = seeded(4);
    const any = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
    for (let i = 0; i < 400; i += 1) {
      const list = [brought(any(conditions).id, random), brought(any(conditions).id, random)];
      const protocol = any(oiled).id;
      const oil = any(oils);
      const fewer = bench(list.slice(0, 1), protocol).client;
      const more = bench(list, protocol).client;
      expect(mostDrops(oil, more, areaOf(protocol)), JSON.stringify({ list, protocol, oil })).toBeLessThanOrEqual(
        mostDrops(oil, fewer, areaOf(protocol)),
      );
    }
  });
});

describe('every condition with every stone', () => {
  const territories = [...anatomy.territories.keys()];
  const touch = (judgement: Judgement, places: readonly string[]) => {
    const { mostC, skin } = stonesAt(judgement, false, places);
    return firstTouchOf(stoneBook.limits, { mostC, skin, likes: 'warmer', lastRemark: -2 }, 'moving', 0).firstC;
  };

  it('is never warmer at the first touch than what was found there allows', () => {
    const random = seeded(31);
    const found = new Set<string>();
    for (const { id } of conditions) {
      const list = [brought(id, random)];
      const judgement = judge(list);
      const stones = territories.map((place) => ({
        ...{ id: place, isCold: false, places: [place], firstContactC: touch(judgement, [place]) },
      }));
      const lawful = stones.filter(({ places }) => !stonesAt(judgement, false, places).isOff);
      const against = stoneViolations(lawful, judgement);
      expect(against, JSON.stringify(list)).toEqual([]);
      const careless = stones.map((stone) => ({ ...stone, firstContactC: 52 }));
      for (const { limit } of stoneViolations(careless, judgement)) found.add(limit);
    }
    expect([...found].sort()).toEqual(['decision', 'maxStoneC']);
    // Whatever forbids heat stops warm stones altogether, or where it was found.
  });

  it('one condition more never adds a degree, nor a place', () => {
    const random = seeded(8);
    const any = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
    for (let i = 0; i < 400; i += 1) {
      const list = [brought(any(conditions).id, random), brought(any(conditions).id, random)];
      const [fewer, more] = [judge(list.slice(0, 1)), judge(list)];
      const places = [any(territories)];
      expect(touch(more, places)).toBeLessThanOrEqual(touch(fewer, places));
      for (const isCold of [false, true])
        if (stonesAt(fewer, isCold, places).isOff) expect(stonesAt(more, isCold, places).isOff).toBe(true);
    }
  });
});
