import { describe, expect, it } from 'vitest';
import { judged } from '../../../tests/judged-client';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { planTreatment } from './plan-treatment';
import { tellStep } from './tell';

const withSteps = [...shippedLibrary.protocols.values()].filter(({ source }) => source === 'steps');
/** Turning and draping are scheduled where they fall. */
const scheduled = new Set(['turn-over', 'drape-change']);

/** A protocol as it is planned for a well client with time for all of it, beside its data. */
function planned(id: string) {
  const protocol = shippedLibrary.protocols.get(id);
  if (!protocol) throw new Error(`no protocol ${id}`);
  const allowed = judged([id]);
  const plan = planTreatment(anatomy.groups, allowed, { minutes: 240, isShort: false, fill: false });
  const given = new Map(
    plan.blocks.flatMap((block) =>
      block.steps.map((step) => [step.id, { step, told: tellStep(anatomy.groups, block, step, [], (name) => name) }]),
    ),
  );
  const taught = protocol.blocks.flatMap((block) =>
    block.steps.flatMap((step, i) =>
      scheduled.has(step.technique) ? [] : [{ id: `c1/${block.id}/${i + 1}`, block: `c1/${block.id}`, step }],
    ),
  );
  /** Work that may take no longer than so many minutes, whatever is taught, is shortened to them. */
  const isCapped = allowed.mostSeconds.has(protocol.modality);
  return { plan, given, taught, isCapped };
}

describe('a planned protocol against its data', () => {
  it.each(withSteps.map(({ id }) => [id]))(
    '%s: what is not there is named in what is left out, with a reason',
    (id) => {
      const { plan, given, taught } = planned(id);
      const missing = taught.filter((one) => !given.has(one.id));
      for (const { block, step } of missing) {
        const named = plan.leftOut.filter(
          (out) => out.block === block && (out.technique === step.technique || out.technique === null),
        );
        expect([block, step.technique, named.map(({ reason }) => reason.rule)]).toEqual([
          ...[block, step.technique],
          expect.arrayContaining([expect.any(String)]),
        ]);
      }
      expect(taught.length).toBeGreaterThan(0);
    },
  );

  it.each(withSteps.map(({ id }) => [id]))(
    '%s: every step keeps its regions, its count, its note, why and stones',
    (id) => {
      const { plan, given, taught, isCapped } = planned(id);
      const changed = new Set(plan.leftOut.map(({ technique }) => technique));
      for (const { id: key, step } of taught) {
        const found = given.get(key);
        if (!found || changed.has(step.technique)) continue;
        expect(found.step.regions).toEqual(step.regions);
        if (step.repetitions !== undefined && !isCapped)
          expect([key, found.step.repetitions]).toEqual([key, step.repetitions]);
        expect(found.told.told?.note).toBe(step.note ?? '');
        if (step.why) expect(found.told.taught?.why).toContain(step.why);
        if (step.layer) expect(found.told.told?.layer).toEqual(step.layer);
        if (step.stones) expect(found.told.told?.stones).toMatchObject(step.stones);
        expect(found.told.taught).toMatchObject({ never: expect.any(String), feel: expect.any(String) });
      }
    },
  );
});
