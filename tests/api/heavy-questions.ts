import { oilBook } from '../../src/catalogue/oils/oils';
import { anatomy } from '../../src/catalogue/anatomy';

/** The heaviest questions that the contracts let through: each has to be answered while the house goes on. */

const many = <T>(count: number, make: (i: number) => T): readonly T[] =>
  Array.from({ length: count }, (_, i) => make(i));
const pick = <T>(list: readonly T[], i: number): T => list[i % list.length] as T;

const positions = ['supine', 'prone', 'side-left', 'side-right', 'seated'] as const;
const hands = ['dry', 'oiled', 'gloved', 'stone', 'brush', 'tool'] as const;
const places = ['head', 'left', 'right', 'feet'] as const;
const sides = ['left', 'right', 'both'] as const;

const blocks = (count: number) =>
  many(count, (i) => ({
    ...{
      id: `b${String(i).padStart(2, '0')}`,
      minutes: 5,
      position: pick(positions, i * 7),
      hands: pick(hands, i * 5),
    },
    ...{ therapist: pick(places, i * 3), side: pick(sides, i * 11), after: [] },
  }));

const step = (i: number, usual: number) => ({
  ...{ id: `s${i}`, secondsPerRepetition: 2 + i, overheadSeconds: 5, min: 1, usual, max: 1000, weight: 1 + i },
  ...{ optional: i % 2 === 0, stretchable: true },
});

const candidates = many(20, (i) => ({ oil: pick([...oilBook.oils.keys()], i * 7), costPerDrop: i, maxDrops: 60 }));
const blend = {
  ...{ volumeMl: 30, area: 'body', targetPercent: 2, candidates, notes: { top: 0.3, middle: 0.5, base: 0.2 } },
  wanted: [
    { use: 'sleep', weight: 2 },
    { use: 'muscle-ease', weight: 1 },
  ],
};

const skin = [...anatomy.territories.keys()];
const drainage = {
  ...{ focus: ['whole-body'], purpose: 'swelling', minutes: 120, qualifications: ['lymphoedema-certified'] },
  findings: [{ id: 'nodes-removed-axillary', side: 'left' }],
};

export const heavyQuestions: Readonly<Record<string, readonly [question: string, body: unknown]>> = {
  'five steps of a thousand repetitions': [
    'time-fit',
    { availableSeconds: 5000, steps: many(5, (i) => step(i, 500)), fill: false },
  ],
  'five steps of a thousand repetitions, filled': [
    'time-fit',
    { availableSeconds: 28_800, steps: many(5, (i) => step(i, 200)), fill: true },
  ],
  'two hundred steps': [
    'time-fit',
    { availableSeconds: 9000, steps: many(200, (i) => ({ ...step(i % 9, 20), id: `s${i}` })), fill: true },
  ],
  'twenty oils, eight of them together': ['blend-best', { ...blend, maxOils: 8 }],
  'twenty oils, six of them in a big bottle': ['blend-best', { ...blend, volumeMl: 100, maxOils: 6 }],
  'fifteen stone steps at once': [
    'stone-rotation',
    {
      ...{ bathC: 52, stock: [{ class: 'palm', count: 8, material: 'basalt' }] },
      steps: many(15, (i) => ({
        ...{ id: `s${i}`, class: 'palm', count: 2, startS: 20 * i, durationS: 600 + 10 * i },
        ...{ mode: 'moving', usefulC: 41, firstContactC: 46 },
      })),
    },
  ],
  'a course of a thousand steps': [
    'drainage-check',
    {
      ...drainage,
      steps: many(1000, (i) => ({
        ...{ id: `s${i}`, kind: 'drain', place: pick(skin, 999 - i), toward: null, via: [], pressure: 'light' },
        ...{ repetitions: 5, placements: 1, seconds: 30 },
      })),
    },
  ],
  'two thousand values of a trend': [
    'trend',
    {
      points: many(2000, (i) => ({
        date: new Date(Date.UTC(2015, 0, 1 + i)).toISOString().slice(0, 10),
        value: 300 + ((i * 37) % 91),
      })),
      confidence: 0.95,
    },
  ],
  'twenty blocks in any order': ['sequence', { blocks: blocks(20) }],
  'sixty blocks in any order': ['sequence', { blocks: blocks(60) }],
  'the whole body in two hours': ['drainage-plan', drainage],
  'four hours of a whole body, told every four seconds': [
    'flow',
    {
      ...drainage,
      ...{ seconds: 14_400, every: 4 },
      start: Object.fromEntries(skin.map((id) => [id, 400])),
      steps: many(1000, (i) => ({
        ...{ kind: 'drain', place: pick(skin, i * 7), toward: pick(skin, i * 7 + 1), via: [] },
        ...{ repetitions: 10_000, placements: 1000, seconds: 14 },
      })),
    },
  ],
  'four hundred visits, thirty intervals': [
    'course',
    {
      visits: many(400, (i) => ({
        day: new Date(Date.UTC(2020, 0, 1 + 2 * i)).toISOString().slice(0, 10),
        ...{ beforeMl: 900 - (i % 90), afterMl: 700 - (i % 70) },
      })),
      ...{ errorMl: 0, intervals: many(30, (i) => i + 1), horizonDays: 730, phases: [[1, null]] },
    },
  ],
};
