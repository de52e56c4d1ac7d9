import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { areaIds } from '../anatomy/areas';
import { purposes, readCase } from './case';
import type { Finding } from './finding';
import { nodeFindingIds } from '../anatomy/node-findings';
import { applyFix, checkCourse, mendCourse } from './check';
import { makeCase, type Wish } from './fixtures';
import { edgeKey } from './hindrance';
import { planDrainage } from './plan';

const territoryId = fc.constantFrom(...anatomy.territories.keys());
const anyPlace = fc.constantFrom(...anatomy.territories.keys(), ...anatomy.basins.keys());
const crossing = fc.constantFrom(...anatomy.edges.filter((e) => e.kind !== 'flow').map((e) => [e.from, e.to] as const));
const places = fc.uniqueArray(anyPlace, { minLength: 1, maxLength: 3 });
const finding: fc.Arbitrary<Finding> = fc.oneof(
  fc.record({ id: fc.constantFrom(...nodeFindingIds), side: fc.constantFrom('left', 'right', 'both') }),
  fc.record({ id: fc.constantFrom('irradiated', 'open-wound', 'port'), regions: places }),
  fc.record({ id: fc.constant('thickened'), regions: fc.uniqueArray(territoryId, { minLength: 1, maxLength: 3 }) }),
  fc.record({ id: fc.constant('scar'), crosses: fc.array(crossing, { minLength: 1, maxLength: 3 }) }),
  fc.constant<Finding>({ id: 'cancer-history' }),
) as fc.Arbitrary<Finding>;
const wish: fc.Arbitrary<Wish> = fc.record({
  findings: fc.array(finding, { maxLength: 4 }),
  school: fc.record({
    start: fc.constantFrom('neck-first', 'breath-first'),
    hand: fc.constantFrom('stretch', 'sweep', 'roller'),
    exits: fc.constantFrom(1, 2),
  }),
  minutes: fc.integer({ min: 1, max: 120 }),
  fill: fc.boolean(),
  purpose: fc.constantFrom(...purposes),
}) as fc.Arbitrary<Wish>;
const anyCase = fc
  .tuple(fc.uniqueArray(fc.oneof(fc.constantFrom(...areaIds), territoryId), { minLength: 1, maxLength: 3 }), wish)
  .map(([focus, w]) => readCase(anatomy, makeCase(focus, w)))
  .filter((read) => read.ok)
  .map((read) => read.value);

const runs = { numRuns: 400 };

describe('laws of every drainage plan', () => {
  it('touches no closed group, no open wound and crosses no scar', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        const { steps, exits } = planDrainage(anatomy, read);
        // Breathing and turning are no touch: the place that stands with them is none.
        const hands = steps.filter((s) => s.kind !== 'breathe' && s.kind !== 'turn');
        const walks = [
          ...hands.map((s) => [s.place, ...s.via, ...(s.toward ? [s.toward] : [])]),
          ...exits.map((e) => e.path),
        ];
        for (const walk of walks) {
          for (const id of walk)
            expect(read.hindrances.blocked.has(id) || read.hindrances.closed.has(id), id).toBe(false);
          walk.slice(1).forEach((id, i) => expect(read.hindrances.scarred.has(edgeKey(walk[i] ?? '', id))).toBe(false));
        }
      }),
      runs,
    );
  });

  it('clears a group before anything is directed to it', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        const open = new Set<string>();
        for (const step of planDrainage(anatomy, read).steps) {
          for (const id of [...step.via, ...(step.toward ? [step.toward] : [])]) {
            if (anatomy.basins.has(id)) expect(open, `${step.id} towards ${id}`).toContain(id);
          }
          if (step.kind === 'clear') open.add(step.place);
        }
      }),
      runs,
    );
  });

  it('drains every focus territory once or names it as waiting', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        const plan = planDrainage(anatomy, read);
        const drained = plan.steps.filter((s) => s.kind === 'drain').map((s) => s.place);
        expect([...drained, ...plan.waiting].sort()).toEqual([...read.territories].sort());
      }),
      runs,
    );
  });

  it('drains near before far: where a stroke ends has been emptied, prepared or opened', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        const ready = new Set<string>();
        for (const step of planDrainage(anatomy, read).steps) {
          if (step.kind === 'drain') expect(ready, `${step.place} towards ${step.toward}`).toContain(step.toward);
          if (step.kind === 'drain' || step.kind === 'prepare' || step.kind === 'clear') ready.add(step.place);
        }
      }),
      runs,
    );
  });

  it('never takes longer than the visit when it says that it fits, and adds up', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        const plan = planDrainage(anatomy, read);
        expect(plan.totalSeconds).toBe(plan.steps.reduce((sum, s) => sum + s.seconds, 0));
        if (plan.fits) expect(plan.totalSeconds).toBeLessThanOrEqual(read.minutes * 60);
      }),
      runs,
    );
  });

  it('passes its own check', () => {
    fc.assert(
      fc.property(anyCase, (read) => {
        expect(checkCourse(anatomy, read, planDrainage(anatomy, read).steps)).toEqual([]);
      }),
      runs,
    );
  });
});

describe('laws of mending', () => {
  const shuffled = anyCase.chain((read) => {
    const { steps } = planDrainage(anatomy, read);
    return fc.tuple(
      fc.constant(read),
      fc.shuffledSubarray([...steps], { minLength: steps.length, maxLength: steps.length }),
    );
  });

  it('mends any arrangement of a plan at once', () => {
    fc.assert(
      fc.property(shuffled, ([read, steps]) => {
        const mended = mendCourse(anatomy, read, steps);
        expect(mended).toHaveLength(steps.length);
        expect(checkCourse(anatomy, read, mended)).toEqual([]);
      }),
      { numRuns: 100 },
    );
  });

  it('mends one step that was moved anywhere by the offered fixes alone', () => {
    const moved = anyCase
      .map((read) => ({ read, steps: planDrainage(anatomy, read).steps }))
      .filter(({ steps }) => steps.length > 1)
      .chain(({ read, steps }) =>
        fc.record({
          read: fc.constant(read),
          steps: fc.constant(steps),
          from: fc.nat(steps.length - 1),
          to: fc.nat(steps.length - 1),
        }),
      );
    fc.assert(
      fc.property(moved, ({ read, steps, from, to }) => {
        const rest = steps.filter((_, i) => i !== from);
        let course = [...rest.slice(0, to), steps[from] as (typeof steps)[number], ...rest.slice(to)];
        for (let round = 0; round < 60; round += 1) {
          const [violation] = checkCourse(anatomy, read, course);
          if (!violation) return;
          if (!violation.fix) throw new Error(`no mend for ${violation.rule}`);
          course = [...applyFix(course, violation.fix)];
        }
        expect(checkCourse(anatomy, read, course)).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});
