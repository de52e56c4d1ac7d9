import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { mirrorOf } from '../anatomy/place';
import type { Finding } from '../drainage/finding';
import { makeCase, mustRead } from '../drainage/fixtures';
import { planDrainage } from '../drainage/plan';
import { flowOf } from './flow';
import { flowFigures, flowGraph, type FlowStep, usualStart } from './model';

const groinGone: readonly Finding[] = [{ id: 'nodes-removed-inguinal', side: 'left' }];

function bodyOf(focus: readonly string[], findings: readonly Finding[] = []) {
  const read = mustRead(anatomy, makeCase(focus, { minutes: 45, fill: true, findings }));
  return { read, plan: planDrainage(anatomy, read), graph: flowGraph(anatomy, read.hindrances, read.findings) };
}
const leg = bodyOf(['leg.left'], groinGone);
const fourEach = Object.fromEntries(
  leg.read.territories.map((id) => [id, 4 * (anatomy.territories.get(id)?.placements ?? 0)]),
);
const drainedBy = (steps: readonly FlowStep[]) =>
  flowOf({ graph: leg.graph, steps, start: fourEach, seconds: 3600, every: 60 }).series.at(-1)?.drainedMl ?? 0;
const without = (...kinds: readonly string[]) => leg.plan.steps.filter(({ kind }) => !kinds.includes(kind));
const step = (change: Partial<FlowStep>): FlowStep => ({
  ...{ kind: 'drain', place: 'toes.left', toward: 'foot-top.left', via: [] },
  ...{ repetitions: 10, placements: 2, seconds: 60 },
  ...change,
});
const sumOf = (values: Iterable<number>) => [...values].reduce((sum, value) => sum + value, 0);

describe('fluid of a leg whose groin was cleared', () => {
  const planned = drainedBy(leg.plan.steps);

  it('leaves most in the order of the course', () => {
    expect(planned).toBeGreaterThan(70);
    const drains = leg.plan.steps.filter(({ kind }) => kind === 'drain').toReversed();
    let next = 0;
    const farFirst = leg.plan.steps.map((one) => (one.kind === 'drain' ? (drains[next++] ?? one) : one));
    const opening = (one: FlowStep) => one.kind === 'clear' || one.kind === 'breathe';
    const openedLast = [
      ...leg.plan.steps.filter((one) => !opening(one)),
      ...leg.plan.steps.filter((one) => opening(one)),
    ];
    expect(planned).toBeGreaterThan(1.4 * drainedBy(farFirst));
    expect(planned).toBeGreaterThan(1.7 * drainedBy(without('prepare')));
    expect(planned).toBeGreaterThan(1.2 * drainedBy(without('carry')));
    expect(planned).toBeGreaterThan(1.1 * drainedBy(openedLast));
  });

  it('does not leave at all where nothing is opened on its way', () => {
    expect(drainedBy(without('clear', 'close', 'breathe', 'prepare', 'carry', 'return'))).toBeLessThan(0.01);
    expect(drainedBy([])).toBe(0);
  });

  it('never enters the group that was taken', () => {
    const { places } = flowOf({ graph: leg.graph, steps: leg.plan.steps, start: fourEach, seconds: 3600, every: 60 });
    expect(Object.keys(places)).not.toContain('inguinal.left');
    expect(Object.keys(places)).toContain('inguinal.right');
  });

  it('gathers before a blocked group where somebody strokes into it', () => {
    const strokes = [
      step({ place: 'thigh-upper-outer.left', toward: 'thigh-upper-inner.left', seconds: 300, repetitions: 50 }),
      step({ place: 'thigh-upper-inner.left', toward: 'inguinal.left', seconds: 300, repetitions: 50 }),
    ];
    const start = { 'thigh-upper-outer.left': 40 };
    const { left, peak, series } = flowOf({ graph: leg.graph, steps: strokes, start, seconds: 900, every: 900 });
    expect(series.at(-1)?.drainedMl).toBe(0);
    expect(left['inguinal.left']).toBeUndefined();
    const gathered = anatomy.edges.some(
      ({ from, to }) => from === 'thigh-upper-outer.left' && to === 'thigh-upper-inner.left',
    );
    expect(peak.map(({ place }) => place)).toEqual(gathered ? ['thigh-upper-inner.left'] : []);
  });
});

describe('one stroke', () => {
  const body = bodyOf(['leg.left']);
  const run = (steps: readonly FlowStep[], seconds: number, start = { 'toes.left': 20 }) =>
    flowOf({ graph: body.graph, steps, start, seconds, every: 1 });

  it('moves, in its first half second, what the model says', () => {
    const { series, left } = run([step({})], 1);
    expect(series.map(({ second }) => second)).toEqual([0, 1]);
    // 10 strokes at 2 placements in 60 s; the way opens by 3 % a stroke, and gives off with it.
    const [rho, dt] = [(10 * 2) / 60, flowFigures.stepSeconds];
    let [toes, foot, way] = [20, 0, 0];
    const room = 15 * (anatomy.territories.get('foot-top.left')?.placements ?? 0);
    for (let tick = 0; tick < 2; tick += 1) {
      way += (1 - way) * 0.03 * rho * dt;
      const amount = (0.006 * way + 0.012 * rho) * toes * Math.max(0, 1 - foot / room) * dt;
      [toes, foot] = [toes - amount, foot + amount];
      way -= (way * dt) / 1200;
    }
    expect(left['toes.left']).toBeCloseTo(toes, 12);
    expect(left['foot-top.left']).toBeCloseTo(foot, 12);
  });

  it('moves nothing where the map has no such way', () => {
    expect(run([step({ toward: 'cheek.left' })], 60).left).toEqual({ 'toes.left': 20 });
    expect(run([], 60).left).toEqual({ 'toes.left': 20 });
  });

  it('moves half of it in thickened skin, and more once that was softened', () => {
    const thick = bodyOf(['leg.left'], [{ id: 'thickened', regions: ['toes.left'] }]);
    const gone = (graph: typeof body.graph, steps: readonly FlowStep[]) =>
      20 - (flowOf({ graph, steps, start: { 'toes.left': 20 }, seconds: 62, every: 60 }).left['toes.left'] ?? 0);
    const softened = [step({ kind: 'soften', toward: null, seconds: 2 }), step({})];
    const firm = [step({ kind: 'turn', toward: null, seconds: 2 }), step({})];
    const well = gone(body.graph, firm);
    const share = (steps: readonly FlowStep[]) => gone(thick.graph, steps) / well;
    // The less leaves, the more is there to leave with the next stroke.
    expect(share(softened)).toBeGreaterThan(0.79);
    expect(share(softened)).toBeLessThan(0.87);
    expect(share(firm)).toBeGreaterThan(0.5);
    expect(share(firm)).toBeLessThan(0.6);
  });

  it('goes round nothing: a scar across its way, or open skin, stops it', () => {
    for (const finding of [
      { id: 'scar', crosses: [['toes.left', 'foot-top.left']] },
      { id: 'open-wound', regions: ['foot-top.left'] },
    ] as const) {
      const cut = bodyOf(['leg.left'], [finding as unknown as Finding]);
      const { left } = flowOf({
        graph: cut.graph,
        steps: [step({})],
        start: { 'toes.left': 20 },
        seconds: 60,
        every: 60,
      });
      expect(left).toEqual({ 'toes.left': 20 });
    }
  });
});

describe('the series', () => {
  it('has an entry at the start, at every so many seconds, and at the end, once', () => {
    const at = (seconds: number, every: number) =>
      flowOf({ graph: leg.graph, steps: [], start: fourEach, seconds, every }).series.map(({ second }) => second);
    expect(at(120, 60)).toEqual([0, 60, 120]);
    expect(at(130, 60)).toEqual([0, 60, 120, 130]);
    expect(at(1, 60)).toEqual([0, 1]);
  });

  it('tells each place as often, and the ten that rose most', () => {
    const flow = flowOf({ graph: leg.graph, steps: leg.plan.steps, start: fourEach, seconds: 3000, every: 100 });
    for (const [place, values] of Object.entries(flow.places)) expect(values, place).toHaveLength(flow.series.length);
    expect(flow.peak).toHaveLength(10);
    const rises = flow.peak.map(({ place, ml }) => ml - (fourEach[place] ?? 0));
    expect(rises).toEqual([...rises].sort((a, b) => b - a));
  });
});

describe('any course on any body', () => {
  const placesOf = [...anatomy.territories.keys()];
  const anyStep = fc
    .record({
      edge: fc.constantFrom(...anatomy.edges),
      kind: fc.constantFrom('clear', 'close', 'breathe', 'prepare', 'drain', 'carry', 'return', 'soften', 'turn'),
      repetitions: fc.integer({ min: 0, max: 60 }),
      placements: fc.integer({ min: 1, max: 9 }),
      seconds: fc.integer({ min: 1, max: 200 }),
    })
    .map(({ edge, kind, ...rest }): FlowStep => {
      const isAtGroup = kind === 'clear' || kind === 'close';
      return { ...rest, kind, place: isAtGroup ? edge.to : edge.from, toward: isAtGroup ? null : edge.to, via: [] };
    });
  const anyFindings = fc.subarray<Finding>([
    { id: 'nodes-removed-axillary', side: 'right' },
    { id: 'nodes-sentinel-inguinal', side: 'left' },
    { id: 'open-wound', regions: ['calf-upper.left'] },
    { id: 'scar', crosses: [['abdomen-lower.left', 'abdomen-lower.right']] },
    { id: 'thickened', regions: ['shin-lower.left'] },
  ] as unknown as Finding[]);
  const anyStart = fc.dictionary(fc.constantFrom(...placesOf), fc.double({ min: 0, max: 500, noNaN: true }), {
    maxKeys: 12,
  });

  it('loses no fluid, makes none, and leaves less than nothing nowhere', () => {
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 25 }), anyFindings, anyStart, (steps, findings, start) => {
        const { graph } = bodyOf(['leg.left'], findings);
        const flow = flowOf({ graph, steps, start, seconds: 900, every: 90 });
        const whole = Math.max(1, flow.startMl);
        for (const { drainedMl, insideMl } of flow.series)
          expect(Math.abs(drainedMl + insideMl - flow.startMl) / whole).toBeLessThan(1e-9);
        expect(Math.abs(sumOf(Object.values(flow.left)) - (flow.series.at(-1)?.insideMl ?? 0)) / whole).toBeLessThan(
          1e-9,
        );
        for (const values of Object.values(flow.places)) for (const ml of values) expect(ml).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 },
    );
  });

  it('is the mirror of itself on the mirrored body', () => {
    const turned = (one: FlowStep): FlowStep => ({
      ...one,
      place: mirrorOf(one.place),
      toward: one.toward && mirrorOf(one.toward),
      via: one.via.map(mirrorOf),
    });
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 15 }), anyStart, (steps, start) => {
        const { graph } = bodyOf(['leg.left']);
        const mirroredStart = Object.fromEntries(Object.entries(start).map(([id, ml]) => [mirrorOf(id), ml]));
        const flow = flowOf({ graph, steps, start, seconds: 300, every: 100 });
        const mirrored = flowOf({ graph, steps: steps.map(turned), start: mirroredStart, seconds: 300, every: 100 });
        for (const [id, ml] of Object.entries(flow.left)) expect(mirrored.left[mirrorOf(id)]).toBeCloseTo(ml, 8);
        expect(mirrored.series.at(-1)?.drainedMl).toBeCloseTo(flow.series.at(-1)?.drainedMl ?? 0, 8);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what is taken where nothing was measured', () => {
  it('is two thirds of what skin holds', () => {
    const start = usualStart(anatomy, ['toes.left']);
    const placements = anatomy.territories.get('toes.left')?.placements ?? 0;
    expect(start).toEqual({ 'toes.left': 10 * placements });
    expect((start['toes.left'] ?? 0) / (flowFigures.placementCapacityMl * placements)).toBeCloseTo(2 / 3);
  });
});
