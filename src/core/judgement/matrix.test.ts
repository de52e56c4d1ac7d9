import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import { brought, seeded } from '../../../tests/brought';
import { type Brought, everything, judge, wayRoundFor } from '../../../tests/judged-client';
import { mirrorOf } from '../anatomy/place';
import { toChecked } from '../treatment/checked';
import { expandChoices } from '../treatment/expand';
import { judgeBlocks } from '../treatment/judge-blocks';
import { planTreatment } from '../treatment/plan-treatment';
import { withinMinutes } from '../treatment/within-minutes';
import { violationsOf } from './violations';

const protocols = [...shippedLibrary.protocols.values()].filter(({ source }) => source === 'steps');
const conditions = [...screeningBook.conditions.values()];

/** One protocol as it would be given, before order and time. */
function given(protocol: string, list: readonly Brought[], judgement = judge(list), side: 'left' | 'right' = 'left') {
  const blocks = expandChoices(anatomy, shippedLibrary, [{ id: 'c1', protocol }], side);
  const judged = judgeBlocks(shippedLibrary, judgement, blocks, wayRoundFor(list, everything));
  return { ...judged, blocks: withinMinutes(judged.blocks, judged.mostSeconds).blocks };
}

const placed = (blocks: ReturnType<typeof given>['blocks']) =>
  new Set(blocks.flatMap(({ steps }) => steps.flatMap(({ places }) => places)));

describe('every condition with every protocol', () => {
  it('leaves nothing in that the judgement does not allow', () => {
    const random = seeded(17);
    for (const { id } of conditions) {
      const list = [brought(id, random)];
      const judgement = judge(list);
      for (const protocol of protocols) {
        const { blocks } = given(protocol.id, list, judgement);
        expect(violationsOf(toChecked(blocks), judgement), `${protocol.id} with ${JSON.stringify(list)}`).toEqual([]);
      }
    }
  });

  it('bites somewhere: without the judgement the same check finds a great deal', () => {
    const random = seeded(17);
    const limits = new Set<string>();
    for (const { id } of conditions) {
      const judgement = judge([brought(id, random)]);
      for (const protocol of protocols) {
        const blocks = expandChoices(anatomy, shippedLibrary, [{ id: 'c1', protocol: protocol.id }], 'left');
        for (const { limit } of violationsOf(toChecked(blocks), judgement)) limits.add(limit);
      }
    }
    expect([...limits].sort()).toEqual(
      [
        // Whatever forbids heat stops warm stones altogether, so that no single step is left to break it.
        ...['avoidPosition', 'closed-group', 'decision', 'margin', 'maxMinutes', 'maxPressure', 'noCold'],
        ...['noOil', 'place', 'skipTechniques', 'spineDirection'],
      ].sort(),
    );
  });
});

describe('pairs and triples of conditions', () => {
  const random = seeded(2026);
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const cases = Array.from({ length: 2000 }, () => ({
    list: Array.from({ length: 2 + Math.floor(random() * 2) }, () => brought(any(conditions).id, random)),
    protocol: any(protocols).id,
  }));

  it('leave nothing in that the judgement does not allow', () => {
    for (const { list, protocol } of cases) {
      const judgement = judge(list);
      const { blocks } = given(protocol, list, judgement);
      expect(violationsOf(toChecked(blocks), judgement), `${protocol} with ${JSON.stringify(list)}`).toEqual([]);
    }
  });

  it('never gain a place, or pressure, by one more', () => {
    const strength = ['none', 'feather', 'light', 'medium', 'firm'];
    for (const { list, protocol } of cases.slice(0, 500)) {
      const fewer = list.slice(0, -1);
      const [more, less] = [given(protocol, list), given(protocol, fewer)];
      const led = (blocks: typeof more.blocks) =>
        blocks.flatMap(({ steps }) => steps).some(({ toward }) => toward !== undefined);
      // A way round goes over skin that the protocol itself does not touch: it is checked by the rules of drainage.
      if (led(more.blocks)) continue;
      for (const place of placed(more.blocks))
        expect(placed(less.blocks).has(place), `${protocol} ${place}`).toBe(true);
      const firmest = ({ blocks }: typeof more) =>
        Math.max(0, ...blocks.flatMap(({ steps }) => steps.map(({ pressure }) => strength.indexOf(pressure))));
      expect(firmest(more)).toBeLessThanOrEqual(firmest(less));
    }
  });

  it('are treated in the mirror when they are mirrored', () => {
    const mirrored = (one: Brought): Brought => ({
      ...one,
      ...(one.side === 'left' || one.side === 'right' ? { side: one.side === 'left' ? 'right' : 'left' } : {}),
      ...(one.regions ? { regions: one.regions.map(mirrorOf) } : {}),
    });
    for (const { list, protocol } of cases.slice(0, 200)) {
      const left = given(protocol, list, judge(list), 'left');
      const right = given(protocol, list.map(mirrored), judge(list.map(mirrored)), 'right');
      const sides = (blocks: typeof left.blocks) => [...placed(blocks)].sort();
      const hasLed = left.blocks.some(({ steps }) => steps.some(({ toward }) => toward !== undefined));
      if (hasLed || left.mostSeconds.size > 0) continue;
      expect([...placed(left.blocks)].map(mirrorOf).sort(), protocol).toEqual(sides(right.blocks));
    }
  });

  it('hold in time and order, too', () => {
    for (const { list, protocol } of cases.slice(0, 60)) {
      const judgement = judge(list);
      const judged = judgeBlocks(
        shippedLibrary,
        judgement,
        expandChoices(anatomy, shippedLibrary, [{ id: 'c1', protocol }], 'left'),
        wayRoundFor(list, everything),
      );
      const plan = planTreatment(anatomy.groups, judged, { minutes: 60, isShort: false, fill: true });
      expect(violationsOf(toChecked(plan.blocks), judgement), protocol).toEqual([]);
    }
  });
});
