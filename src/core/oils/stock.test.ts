import fc from 'fast-check';
import { bottleWordsOf } from '../../catalogue/client-words/bottle';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { aftercareLines, leaveOn } from './aftercare';
import { carrierOf, oilOf } from './book';
import { chooseCarrier } from './carrier';
import { adult } from './client';
import { fitsLabel, heightOnLabel, type LabelFacts, labelLines, labelSizes, usableUntil } from './label';
import { patchDueAt, patchState } from './patch-test';
import { bestLiked, shuffled, smellCandidates } from './smell';
import { addMonths, ageingOf, type Bottle, drawFrom, reorderList } from './stock';
import { unfold, unfoldHours } from './unfold';

const bottle = (change: Partial<Bottle> = {}): Bottle => ({
  ...{ id: 1, kind: 'essential', oil: 'lavender', lot: '7', openedOn: '2026-01-10', printedOn: null },
  ...{ sizeMl: 10, leftMl: 6, costCents: 900, dropsPerMl: null },
  ...change,
});
const today = '2026-11-25';
const aged = (change: Partial<Bottle> = {}) => {
  const one = bottle(change);
  const of = one.kind === 'essential' ? oilOf(book, one.oil) : carrierOf(book, one.oil);
  return { ...one, ...ageingOf(one, of, today) };
};

const onBottle = bottleWordsOf('en');

describe('a bottle', () => {
  it('is best before what is printed, or its months from the opening', () => {
    expect(addMonths('2026-01-31', 1)).toBe('2026-02-28');
    expect(aged().bestBefore).toBe('2029-01-10');
    expect(aged({ printedOn: '2027-03-01' }).bestBefore).toBe('2027-03-01');
    expect(aged({ openedOn: null }).freshness).toBe('closed');
  });

  it('that is old is discarded, and citrus says why', () => {
    const bergamot = aged({ oil: 'bergamot', openedOn: '2025-04-20' });
    expect([bergamot.freshness, bergamot.words]).toEqual(['old', 'discard: aged, it sensitises skin']);
    expect(aged({ oil: 'patchouli', openedOn: '2015-01-01' }).words).toBe('past its best: discard');
    expect(aged({ oil: 'lemon', openedOn: '2025-10-10' }).words).toBe('use within 15 days');
  });

  it('gives the oldest first, what is open before what is closed, and nothing that is old', () => {
    const old = aged({ id: 1, oil: 'bergamot', openedOn: '2024-01-01' });
    const open = aged({ id: 2, leftMl: 0.25, openedOn: '2026-03-01' });
    const older = aged({ id: 3, leftMl: 0.25, openedOn: '2026-01-01' });
    const closed = aged({ id: 4, openedOn: null });
    expect(drawFrom([closed, open, old, older], 1).draws).toEqual([
      { bottle: 3, ml: 0.25 },
      { bottle: 2, ml: 0.25 },
      { bottle: 4, ml: 0.5 },
    ]);
    expect(drawFrom([open], 1).shortMl).toBeCloseTo(0.75, 9);
  });

  it('gives what was asked for, and never more than it holds', () => {
    const anyBottles = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { maxLength: 5 });
    fc.assert(
      fc.property(anyBottles, fc.double({ min: 0, max: 12, noNaN: true }), (lefts, wanted) => {
        const bottles = lefts.map((leftMl, i) => aged({ id: i, leftMl }));
        const { draws, shortMl } = drawFrom(bottles, wanted);
        for (const { bottle: id, ml } of draws) expect(ml).toBeLessThanOrEqual(lefts[id] ?? 0);
        expect(draws.reduce((sum, { ml }) => sum + ml, shortMl)).toBeCloseTo(wanted, 6);
      }),
    );
  });

  it('is ordered again when it will be empty or old within four weeks', () => {
    const list = reorderList(
      [
        aged({ id: 1, oil: 'lavender', leftMl: 1 }),
        aged({ id: 2, oil: 'bergamot', openedOn: '2024-01-01' }),
        aged({ id: 3, oil: 'vetiver', leftMl: 0.8 }),
        aged({ id: 4, oil: 'ginger', leftMl: 9 }),
        aged({ id: 5, oil: 'lemon', openedOn: '2025-10-10', leftMl: 9 }),
        aged({ id: 6, oil: 'frankincense', leftMl: 0 }),
      ],
      new Map([['essential:lavender', 4]]),
      today,
    );
    expect(list.map(({ oil, why }) => [oil, why])).toEqual([
      ['lavender', 'lasts 2 weeks at this pace'],
      ['bergamot', 'the last bottle is old'],
      ['vetiver', '8 % of a bottle left'],
      ['lemon', 'turns old on 2026-12-10'],
      ['frankincense', 'the last bottle is empty'],
    ]);
  });
});

describe('a label', () => {
  const facts: LabelFacts = {
    ...{ name: 'Evening blend', initials: 'A. Q.', area: 'body', volumeMl: 30, carrier: 'rice-bran', sunHours: 0 },
    ...{
      mixedOn: '25 Nov 2026',
      useBy: '25 Feb 2027',
      parts: [
        { oil: 'lavender', drops: 9 },
        { oil: 'mandarin', drops: 4 },
      ],
    },
  };
  const measure = (text: string) => 0.5 * text.length;

  it('names what is in it twice, how strong it is, until when, and what to mind', () => {
    const text = labelLines(book, facts, onBottle)
      .map((line) => line.text)
      .join('\n');
    for (const part of ['Evening blend · A. Q.', 'Lavandula angustifolia', '1.59 %', 'use by 25 Feb 2027', 'children'])
      expect(text).toContain(part);
    expect(labelLines(book, { ...facts, sunHours: 12 }, onBottle).at(-1)?.text).toContain('No sun on it for 12 hours.');
  });

  it('fits, or says by how much it does not', () => {
    const [small, usual, large] = labelSizes;
    if (!small || !usual || !large) throw new Error('no sizes');
    expect(fitsLabel(labelLines(book, facts, onBottle), usual, measure)).toBe(true);
    const long = { ...facts, name: 'An evening blend for the long dark months by the water, second try, stronger' };
    const parts = ['lavender', 'mandarin', 'cedarwood-atlas', 'marjoram-sweet', 'ginger', 'vetiver'].map((oil) => ({
      oil,
      drops: 3,
    }));
    expect(fitsLabel(labelLines(book, { ...long, parts }, onBottle), small, measure)).toBe(false);
    expect(fitsLabel(labelLines(book, { ...long, parts }, onBottle), large, measure)).toBe(true);
    expect(heightOnLabel([{ look: 'title', text: 'x'.repeat(200) }], large, measure)).toBe(Infinity);
  });

  it('runs out after three months, or with the first of its parts', () => {
    expect(usableUntil('2026-11-25', false, ['2027-05-01', null])).toBe('2027-02-25');
    expect(usableUntil('2026-11-25', false, ['2026-12-10'])).toBe('2026-12-10');
    expect(usableUntil('2026-11-25', true, [])).toBe('2026-12-25');
  });
});

describe('after the treatment', () => {
  const facts = {
    area: 'body',
    parts: [{ oil: 'lemon', drops: 3 }],
    sunSum: 0.4,
    isSensitive: false,
    travelsAtOnce: false,
  } as const;
  it('the oil stays on, unless the sun, the face or the way home says otherwise', () => {
    expect(leaveOn(facts).hours).toEqual([8, 12]);
    expect(leaveOn({ ...facts, sunSum: 1.2 }).hours).toBeNull();
    expect(leaveOn({ ...facts, area: 'face' }).hours).toBeNull();
    expect(leaveOn({ ...facts, travelsAtOnce: true }).why).toBe('wipeForTheWay');
    expect(aftercareLines(book, { ...facts, sunSum: 1.2 }, onBottle).join(' ')).toContain('for 12 hours');
    expect(aftercareLines(book, facts, onBottle).join(' ')).toContain('within what skin bears');
  });
});

describe('a patch test', () => {
  const placed = '2026-11-23T09:00:00.000Z';
  const read = (hours: number, reading: 'clear' | 'mild' = 'clear') => ({
    readAt: new Date(Date.parse(placed) + hours * 3_600_000).toISOString(),
    reading,
  });
  it('is read after one day and after two; only then it is clear, and any redness ends it', () => {
    expect(patchDueAt(placed)).toEqual(['2026-11-24T09:00:00.000Z', '2026-11-25T09:00:00.000Z']);
    expect(patchState(placed, [], '2026-11-23T20:00:00.000Z')).toBe('waiting');
    expect(patchState(placed, [], '2026-11-24T10:00:00.000Z')).toBe('due');
    expect(patchState(placed, [read(25)], '2026-11-24T12:00:00.000Z')).toBe('waiting');
    expect(patchState(placed, [read(25)], '2026-11-25T10:00:00.000Z')).toBe('due');
    expect(patchState(placed, [read(25), read(49)], '2026-11-25T12:00:00.000Z')).toBe('clear');
    expect(patchState(placed, [read(25, 'mild')], '2026-11-25T12:00:00.000Z')).toBe('reacted');
  });
});

describe('choosing by nose', () => {
  const candidates = ['lavender', 'orange-sweet', 'vetiver', 'marjoram-sweet', 'mandarin', 'cedarwood-atlas'].map(
    (oil) => ({
      ...{ oil, costPerDrop: 3, maxDrops: 60 },
    }),
  );
  const wish = {
    ...({ volumeMl: 15, area: 'body', client: adult, candidates, targetPercent: 2, maxOils: 3 } as const),
    wanted: [{ use: 'sleep', weight: 1 }] as const,
    notes: { top: 0.3, middle: 0.5, base: 0.2 },
  };
  it('has two or three that smell different', () => {
    const strips = smellCandidates(book, wish);
    expect(strips).toHaveLength(3);
    expect(new Set(strips.map(({ parts }) => JSON.stringify(parts))).size).toBe(3);
    expect(smellCandidates(book, { ...wish, candidates: candidates.slice(0, 1) }).length).toBeLessThan(2);
  });
  it('is in a random order that is known, and the best liked is taken', () => {
    const order = shuffled(3, () => 0.4);
    expect([...order].sort()).toEqual([0, 1, 2]);
    expect(
      bestLiked([
        { liking: 4, word: '' },
        { liking: 8, word: 'warm' },
        { liking: 8, word: '' },
      ]),
    ).toBe(1);
    expect(bestLiked([{ liking: null, word: '' }])).toBeNull();
  });
});

describe('a carrier', () => {
  const choose = (change: Partial<Parameters<typeof chooseCarrier>[1]> = {}) =>
    chooseCarrier(book, { area: 'body', client: adult, skinType: 'dry', minutes: 30, dressesAtOnce: false, ...change });
  it('is chosen by skin and glide, and those that are kept away stand last with the reason', () => {
    expect(choose()[0]?.why.join(', ')).toContain('suits dry skin');
    const nuts = { ...adult, avoids: [{ id: 'almond-sweet', reason: 'nut allergy' }] };
    expect(choose({ client: nuts }).at(-1)).toMatchObject({
      carrier: { id: 'almond-sweet' },
      against: ['nut allergy'],
    });
    expect(choose({ area: 'face' })[0]?.carrier.faceSuitable).toBe(true);
    expect(choose({ stock: new Set(['jojoba']) })[0]?.carrier.id).toBe('jojoba');
    expect(choose({ client: { ...adult, skin: 'sensitive' } })[0]?.why[0]).toBe('suits sensitive skin');
  });
});

describe('how a scent unfolds', () => {
  it('tops first, bases last, each by its share', () => {
    const curves = unfold(book, [
      { oil: 'mandarin', drops: 4 },
      { oil: 'lavender', drops: 9 },
      { oil: 'vetiver', drops: 2 },
    ]);
    const peaks = curves.map(({ strength }) => unfoldHours[strength.indexOf(Math.max(...strength))] ?? 0);
    expect(peaks[0]).toBeLessThan(peaks[1] ?? 0);
    expect(peaks[1]).toBeLessThan(peaks[2] ?? 0);
    expect(curves.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(Math.max(...curves.flatMap(({ strength }) => strength))).toBeLessThanOrEqual(1);
    expect(unfold(book, []).every(({ share }) => share === 0)).toBe(true);
  });
});
