import type { Minutes } from '../quantities';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import { judged } from '../../../tests/judged-client';
import { reasonInWords } from '../judgement/words';
import type { Judged } from './judge-blocks';
import type { LeftOut } from './left-out';
import { leastSecondsOf, usualSecondsOf } from './fit-blocks';
import { loadOf } from './load';
import { orderFaults, mendOrder } from './order';
import { changeWords } from './tell';
import { planTreatment, type TreatmentPlan } from './plan-treatment';
import { waysToShorten } from './shorten';

const allow = judged;
const why = ({ reason }: LeftOut) => reasonInWords({ anatomy, book: screeningBook }, reason);

const plan = (
  allowed: Judged,
  minutes: Minutes,
  wish: Partial<Parameters<typeof planTreatment>[2]> = {},
): TreatmentPlan => planTreatment(anatomy.groups, allowed, { minutes, isShort: false, fill: false, ...wish });
const ids = ({ blocks }: TreatmentPlan) => blocks.map(({ id }) => id);
const errorsOf = ({ faults, stepFaults, conflicts }: TreatmentPlan) =>
  [...faults, ...stepFaults, ...conflicts].filter(({ severity }) => severity === 'error');

/** How many stand in the same order in both. */
function longestCommon(a: readonly string[], b: readonly string[]): number {
  const at = a.map((id) => b.indexOf(id));
  const best: number[] = [];
  at.forEach((now, i) =>
    best.push(1 + Math.max(0, ...at.slice(0, i).flatMap((then, k) => (then < now ? (best[k] ?? 0) : [])))),
  );
  return Math.max(0, ...best);
}

const withSteps = [...shippedLibrary.protocols.values()].filter(({ source }) => source === 'steps');

describe('every protocol that ships', () => {
  it.each(withSteps.map((one) => [one.id, one] as const))('%s plans in its usual minutes', (id, protocol) => {
    const allowed = allow([id]);
    const minutes = Math.max(protocol.usualMinutes, Math.ceil((usualSecondsOf(allowed.blocks) + 240) / 60));
    const result = plan(allowed, minutes);
    expect(result.fits).toBe(true);
    // A well client loses only what a kind of work never has time for, nor training.
    expect(result.leftOut.filter(({ reason }) => reason.kind !== 'minutes')).toEqual([]);
    for (const [modality, most] of allowed.mostSeconds) {
      const own = result.blocks.filter((block) => block.modality === modality);
      expect(own.flatMap(({ steps }) => steps).reduce((sum, { seconds }) => sum + seconds, 0)).toBeLessThanOrEqual(
        most,
      );
    }
    expect(errorsOf(result)).toEqual([]);
    expect(result.isBestOrder).toBe(true);
    expect(result.totalSeconds).toBeLessThanOrEqual(minutes * 60);
  });

  it.each(withSteps.flatMap(({ id }) => [30, 60, 90].map((minutes) => [id, minutes] as const)))(
    '%s fits into %d minutes',
    (id, minutes) => {
      const result = plan(allow([id]), minutes);
      expect(result.fits).toBe(true);
      expect(result.blocks.length).toBeGreaterThan(0);
      expect(errorsOf(result)).toEqual([]);
      expect(result.totalSeconds).toBeLessThanOrEqual(minutes * 60);
    },
  );
});

const combinations = [
  ['face-drainage', 'face-roller'],
  ['lifting-facial', 'mouth-gloved'],
  ['neck-release', 'stones-neck'],
  ['dry-brush-body', 'aroma-whole-body'],
  ['stones-back', 'stones-leg-back'],
  ['scalp-shoulders', 'lifting-facial'],
] as const;

describe('combinations', () => {
  it.each(combinations.flatMap((pair) => [30, 60, 90].map((minutes) => [pair.join(' + '), pair, minutes] as const)))(
    '%s plans well (%#)',
    (_, pair, minutes) => {
      const result = plan(allow(pair), minutes);
      expect(result.fits).toBe(true);
      expect(errorsOf(result)).toEqual([]);
      expect(result.totalSeconds).toBeLessThanOrEqual(minutes * 60);
      expect(new Set(ids(result)).size).toBe(result.blocks.length);
    },
  );

  it('opens the neck before the roller comes to the face, and brushes before oil', () => {
    const face = plan(allow(['face-roller', 'face-drainage']), 60);
    expect(ids(face).indexOf('c2/open')).toBeLessThan(ids(face).indexOf('c2/lower-face'));
    const oil = plan(allow(['aroma-whole-body', 'dry-brush-body']), 180);
    const at = ids(oil);
    expect(at.indexOf('c2/back')).toBeLessThan(at.indexOf('c1/back'));
    expect(at.indexOf('c2/belly')).toBeLessThan(at.indexOf('c1/belly'));
    expect(at.at(-1)).toBe('c1/rest');
    expect(oil.blocks.find(({ id }) => id === 'c1/back')?.why.join(' ')).toContain('Dry brushing is first');
  });

  it('does the dry work inside and round the mouth before oil reaches the face', () => {
    const at = ids(plan(allow(['lifting-facial', 'mouth-gloved']), 90));
    expect(at.indexOf('c2/dry-pinch')).toBeLessThan(at.indexOf('c1/chin'));
  });
});

describe('what a client brings', () => {
  it('takes pinching and firm work off a face with rosacea, and says what comes instead', () => {
    const allowed = allow(['lifting-facial'], [{ id: 'rosacea' }]);
    const lost = allowed.leftOut.find(({ technique }) => technique === 'full-circle-pinch');
    expect(lost && why(lost)).toContain('no pinching');
    expect(lost?.instead).toBe('contour-strokes');
    const result = plan(allowed, 60);
    expect(result.totalSeconds).toBeLessThanOrEqual(15 * 60 + result.setupSeconds);
    for (const step of result.blocks
      .filter(({ modality }) => modality === 'facial-massage')
      .flatMap(({ steps }) => steps))
      expect(['none', 'feather']).toContain(step.pressure);
    expect(errorsOf(result)).toEqual([]);
  });

  it('keeps work inside the mouth for those trained in it, and layered oils for clinical training', () => {
    const mouth = allow(['mouth-gloved'], [], ['massage']);
    expect(mouth.blocks).toEqual([]);
    expect(mouth.leftOut.map(why).join()).toContain('Needs');
    expect(allow(['spine-oil-layers'], [], ['massage']).blocks).toEqual([]);
    expect(allow(['chest-recoil'], [], ['massage']).blocks).toEqual([]);
  });

  it('puts no stone on a swollen leg', () => {
    const allowed = allow(['stones-leg-back', 'stones-back'], [
      { id: 'lymphoedema-one-limb', side: 'left', regions: ['calf-lower.left'] },
    ] as never);
    const onLeft = allowed.blocks
      .flatMap(({ steps }) => steps)
      .filter(({ places }) => places.some((place) => /^(thigh|calf|heel|sole|buttock).*left$/.test(place)));
    expect(onLeft).toEqual([]);
    expect(allowed.blocks.some(({ id }) => id.startsWith('c2'))).toBe(true);
  });
});

describe('rearranging', () => {
  it('shows what an order breaks, and mends it with the fewest moves', () => {
    const allowed = allow(['dry-brush-body', 'oil-leg-foot-belly-arm']);
    const best = plan(allowed, 150);
    const backwards = plan(allowed, 150, { order: [...ids(best)].reverse() });
    expect(backwards.faults.some(({ rule }) => rule === 'brush-before-oil')).toBe(true);
    const mended = mendOrder(backwards.blocks, best.rules);
    expect(
      orderFaults(anatomy.groups, mended as never, best.rules, best.start).filter(
        ({ severity }) => severity === 'error',
      ),
    ).toEqual([]);
    expect(mended).toHaveLength(best.blocks.length);
  });

  it('moves no more blocks than any order that obeys the rules would have to', () => {
    const allowed = allow(['dry-brush-body', 'oil-leg-foot-belly-arm']);
    const best = plan(allowed, 150);
    const order = ids(best);
    for (let from = 0; from < order.length; from += 1) {
      // One block was dragged to the front: at most that one and what has to wait for it go elsewhere.
      const dragged = [order[from] ?? '', ...order.filter((_, i) => i !== from)];
      const blocks = plan(allowed, 150, { order: dragged }).blocks;
      const mended = mendOrder(blocks, best.rules).map(({ id }) => id);
      const kept = longestCommon(ids({ blocks } as never), mended);
      expect(blocks.length - kept, dragged[0]).toBeLessThanOrEqual(1);
    }
  });

  it('warns of a second turn', () => {
    const allowed = allow(['stones-back', 'belly']);
    const order = ['c1/back', 'c2/belly', 'c1/cool-finish'];
    expect(plan(allowed, 60, { order }).faults.map(({ rule }) => rule)).toContain('one-turn');
  });

  it('does not blame an order for a turn that the rules themselves ask for', () => {
    const result = plan(allow(['dry-brush-body', 'upper-body-drainage']), 120);
    const turns = result.blocks.flatMap(({ changes }) => changes).filter(({ kind }) => kind === 'turn');
    expect(turns.length).toBeGreaterThan(1);
    expect(result.faults).toEqual([]);
    expect(result.blocks.some(({ why }) => why.some((one) => one.startsWith('Another turn')))).toBe(true);
  });

  it('costs no less than the best order', () => {
    const allowed = allow(['aroma-whole-body', 'scalp-shoulders']);
    const best = plan(allowed, 180);
    const other = plan(allowed, 180, { order: [...ids(best)].reverse() });
    expect(other.setupSeconds).toBeGreaterThanOrEqual(best.setupSeconds);
    expect(best.lowerBoundSeconds).toBeLessThanOrEqual(best.setupSeconds);
  });
});

describe('short of time', () => {
  it.each(['lifting-facial', 'firming-facial'])('%s works both sides of the face alike, however short it is', (id) => {
    for (let minutes = 6; minutes <= 60; minutes += 3) {
      const found = ids(plan(allow([id]), minutes));
      const of = (side: string) =>
        found.filter((block) => block.endsWith(side)).map((block) => block.replace(side, ''));
      expect(of('-left').toSorted(), `${minutes} minutes`).toEqual(of('-right').toSorted());
    }
  });

  it('has the head roll where one side of the face follows the other, and covers nothing', () => {
    const { blocks } = plan(allow(['firming-facial']), 60);
    const kinds = blocks.flatMap(({ changes }) => changes.map(({ kind }) => kind));
    expect(kinds).toContain('head');
    expect(kinds).not.toContain('drape');
    const turned = blocks.find(({ changes }) => changes.some(({ kind }) => kind === 'head'));
    const away = turned?.side === 'left' ? 'right' : 'left';
    const setting = turned ?? { position: 'supine', hands: 'oiled', therapist: 'head', side: 'left' };
    expect(changeWords(turned?.changes ?? [], setting).join(' ')).toContain(`Let the head roll to the ${away}`);
    expect(changeWords(turned?.changes ?? [], setting, true).join(' ')).toContain('The head stays in the middle');
  });

  it('keeps whole blocks, twins together, and names what does not fit', () => {
    const result = plan(allow(['aroma-whole-body']), 30);
    const kept = new Set(ids(result).map((id) => id.replace(/-(left|right)$/, '')));
    for (const name of kept) {
      const twins = ids(result).filter((id) => id.startsWith(`${name}-`));
      expect([0, 2]).toContain(twins.length);
    }
    expect(result.leftOut.some(({ reason }) => reason.kind === 'no-time')).toBe(true);
  });

  it('offers ways to save time with what each saves', () => {
    const { blocks } = allow(['lifting-facial', 'face-drainage']);
    const ways = waysToShorten(blocks);
    expect(ways.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['evenly', 'short-form', 'both-hands']));
    expect(ways.find(({ kind }) => kind === 'evenly')?.savesSeconds).toBeGreaterThan(0);
    const short = plan(allow(['lifting-facial']), 60, { isShort: true });
    expect(short.totalSeconds).toBeLessThan(plan(allow(['lifting-facial']), 60).totalSeconds);
    expect(leastSecondsOf(blocks)).toBeGreaterThan(0);
  });

  it('fills what is left over with what soothes, never beyond the time', () => {
    const usual = plan(allow(['relaxing-face']), 60);
    const filled = plan(allow(['relaxing-face']), 60, { fill: true });
    expect(filled.totalSeconds).toBeGreaterThanOrEqual(usual.totalSeconds);
    expect(filled.totalSeconds).toBeLessThanOrEqual(3600);
  });
});

describe('the load on the therapist', () => {
  it('counts thumbs, standing and the minutes of each region', () => {
    const load = loadOf(plan(allow(['oil-leg-foot-belly-arm']), 60).blocks);
    expect(load.thumbSeconds).toBeGreaterThan(60);
    expect(load.standingSeconds).toBeGreaterThan(600);
    expect(load.byRegion[0]?.seconds).toBeGreaterThanOrEqual(load.byRegion.at(-1)?.seconds ?? 0);
  });
});
