import { describe, expect, it } from 'vitest';
import { judged } from '../../../tests/judged-client';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { startSetting } from '../sequencing/block';
import { crossingsOf, departures } from './faster-order';
import { orderFaults } from './order';
import { planTreatment, type TreatmentPlan } from './plan-treatment';
import { rulesBetween } from './cross-block';

const plan = (protocols: readonly string[], wish: Partial<Parameters<typeof planTreatment>[2]> = {}): TreatmentPlan =>
  planTreatment(anatomy.groups, judged(protocols), { minutes: 240, isShort: false, fill: false, ...wish });
const names = ({ blocks }: Pick<TreatmentPlan, 'blocks'>) => blocks.map(({ id }) => id.split('/')[1]);
const taught = (id: string) => shippedLibrary.protocols.get(id)?.blocks.map((block) => block.id) ?? [];
const withSteps = [...shippedLibrary.protocols.values()].filter(({ source }) => source === 'steps');

describe('the order that a protocol teaches', () => {
  it.each(withSteps.map(({ id }) => [id]))('%s is planned as it is taught, and that is no fault', (id) => {
    const found = plan([id]);
    const order = names(found);
    expect(order).toEqual(taught(id).filter((block) => order.includes(block)));
    expect(found.faults.filter(({ severity }) => severity === 'error')).toEqual([]);
  });

  it('finishes the back of both legs, the back, then turns, as the whole body in oil is taught', () => {
    expect(names(plan(['aroma-whole-body'])).slice(0, 4)).toEqual([
      ...['leg-back-left', 'leg-back-right', 'back'],
      expect.stringMatching(/turn|belly/) as string,
    ]);
  });

  it('keeps parts that follow one another directly together, whatever else is given between', () => {
    const found = plan(['stones-leg-back', 'stones-back', 'dry-brush-body']);
    const order = found.blocks.map(({ id }) => id);
    for (const { id, follows } of found.blocks)
      if (follows !== undefined && order.includes(follows)) expect(order[order.indexOf(id) - 1]).toBe(follows);
  });

  it('says so when a pair is parted by hand', () => {
    const { blocks } = plan(['stones-leg-back']);
    const [oil, leg, ...rest] = blocks;
    if (!oil || !leg) throw new Error('the protocol has changed');
    const parted = [oil, ...rest, leg];
    const faults = orderFaults(anatomy.groups, parted, rulesBetween(anatomy.groups, blocks).rules, startSetting);
    expect(faults.filter(({ rule }) => rule === 'one-after-the-other').map(({ then }) => then)).toContain(leg.id);
  });
});

describe('a faster order', () => {
  const protocols = withSteps.map(({ id }) => plan([id]).faster && id).filter((id) => id !== undefined);

  it('is offered where it saves something, with what it departs from', () => {
    expect(protocols.length).toBeGreaterThan(0);
    for (const id of protocols) {
      const { faster, setupSeconds, blocks } = plan([id]);
      expect(faster?.savesSeconds).toBeGreaterThanOrEqual(15);
      expect(faster?.departs.length).toBeGreaterThan(0);
      expect(departures(blocks, faster?.order ?? [])).toEqual(
        expect.arrayContaining([...(faster?.departs ?? [])]) as unknown,
      );
      const taken = plan([id], { isFree: true });
      expect(taken.setupSeconds).toBeLessThan(setupSeconds);
      expect(taken.faults.filter(({ severity }) => severity === 'error')).toEqual([]);
      expect(taken.faster).toBeUndefined();
    }
  });
});

describe('what an order costs besides time for changes', () => {
  it('counts how often the therapist goes to the other side, by way of head or feet, too', () => {
    const at = (...places: readonly ('head' | 'left' | 'feet' | 'right')[]) =>
      crossingsOf(
        startSetting,
        places.map((therapist) => ({ ...startSetting, therapist })),
      );
    expect(at('head', 'left', 'left')).toBe(0);
    expect(at('left', 'right', 'left')).toBe(2);
    expect(at('left', 'feet', 'right')).toBe(1);
    expect(at('left', 'feet', 'left')).toBe(0);
  });

  it('has hands washed that come from the feet, before they touch hands, neck or face', () => {
    const found = plan(['oil-leg-foot-belly-arm', 'relaxing-face']);
    const at = found.blocks.flatMap(({ changes }, i) => (changes.some(({ kind }) => kind === 'wash') ? [i] : []));
    for (const i of at) {
      const regions = found.blocks[i - 1]?.steps.flatMap((step) => step.regions) ?? [];
      expect(regions.some((region) => anatomy.groups.foot.has(region))).toBe(true);
    }
    found.blocks.forEach((block, i) => {
      const before = found.blocks[i - 1]?.steps.flatMap((step) => step.regions) ?? [];
      const here = block.steps.flatMap((step) => step.regions);
      const isDirty =
        before.some((region) => anatomy.groups.foot.has(region)) &&
        here.some((region) => anatomy.groups.hand.has(region) || anatomy.groups['head-and-neck-home'].has(region));
      if (isDirty) expect(block.changes.some(({ kind }) => kind === 'wash' || kind === 'hands')).toBe(true);
    });
    expect(found.setupSeconds).toBe(
      found.blocks.flatMap(({ changes }) => changes).reduce((sum, { seconds }) => sum + seconds, 0),
    );
  });
});
