import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { judged } from '../../../tests/judged-client';
import { repetitionSecondsOf } from './block';
import { canLean, type Lean, leaned } from './lean';
import { type PlannedStep, planTreatment, type TreatmentPlan } from './plan-treatment';

/** More for the side that was tighter, within the same time. */

const right: Lean = { side: 'right', regions: ['neck-side', 'cheek', 'jaw'] };

function plan(protocols: readonly string[], lean?: Lean, minutes = 60, isMoved = true): TreatmentPlan {
  const allowed = judged(protocols, [], undefined, { affected: null });
  const ready = lean ? { ...allowed, blocks: leaned(allowed.blocks, lean) } : allowed;
  const wish = { minutes, isShort: false, fill: false, lean: isMoved ? lean : undefined };
  return planTreatment(anatomy.groups, ready, wish);
}
const stepsOf = ({ blocks }: TreatmentPlan): readonly PlannedStep[] => blocks.flatMap(({ steps }) => steps);
const errorsOf = ({ faults, stepFaults, conflicts }: TreatmentPlan) =>
  [...faults, ...stepFaults, ...conflicts].filter(({ severity }) => severity === 'error');
const namesOf = ({ blocks }: TreatmentPlan) => blocks.map(({ name }) => name);
const secondsOn = (side: 'left' | 'right', steps: readonly PlannedStep[]) =>
  steps.filter((step) => step.side === side).reduce((sum, { seconds }) => sum + seconds, 0);

describe('a treatment that leans to the tighter side', () => {
  const plain = plan(['lifting-facial']);
  const leaning = plan(['lifting-facial'], right);

  it('begins there, with the rest of the order as it is taught', () => {
    expect(namesOf(plain)).toContain('one side left');
    const swap = (name: string) =>
      name.endsWith(' left') ? name.replace(' left', ' right') : name.replace(' right', ' left');
    expect(namesOf(leaning)).toEqual(namesOf(plain).map(swap));
  });

  it('breaks no rule by it, nor parts what belongs together', () => {
    expect(errorsOf(leaning)).toEqual([]);
    expect(leaning.faults.length).toBe(plain.faults.length);
  });

  it('gives the tighter side more and the other one as much less, in the same total', () => {
    const [left, tight] = [secondsOn('left', stepsOf(leaning)), secondsOn('right', stepsOf(leaning))];
    expect(tight).toBeGreaterThan(left);
    expect(leaning.leanedSeconds).toBeGreaterThan(0);
    const { totalSeconds } = plan(['lifting-facial'], right, 60, false);
    expect(leaning.totalSeconds).toBeLessThanOrEqual(totalSeconds);
    expect(leaning.totalSeconds).toBeGreaterThan(totalSeconds - 30);
    expect(Math.abs(leaning.totalSeconds - plain.totalSeconds)).toBeLessThan(30);
  });

  it('stays within what each technique asks for', () => {
    const usual = new Map(stepsOf(plain).map(({ id, repetitions }) => [id, repetitions]));
    const changed = stepsOf(leaning).filter(({ note }) => note.includes('tighter'));
    expect(changed.length).toBeGreaterThan(4);
    for (const { id, technique, repetitions, side } of changed) {
      const before = usual.get(id.replace('/2', '')) ?? repetitions;
      if (side === 'right') expect(repetitions).toBeLessThanOrEqual(Math.max(before, technique.repetitions.max));
      else expect(repetitions).toBeGreaterThanOrEqual(Math.min(before, technique.repetitions.min));
      expect(side === 'right' ? repetitions - before : before - repetitions).toBeGreaterThanOrEqual(0);
    }
  });

  it('says at each step what the other side gets', () => {
    const [tight] = stepsOf(leaning).filter(({ note }) => note.includes('The tighter side'));
    const slack = stepsOf(leaning).find(
      ({ technique, side, note }) =>
        technique.id === tight?.technique.id && side === 'left' && note.includes('tighter'),
    );
    expect(tight?.note).toContain(`the left gets ${slack?.repetitions} ×`);
    expect(slack?.note).toContain(`The right is tighter and gets ${tight?.repetitions} ×`);
  });

  it('takes a step that goes from side to side apart, the tighter side first', () => {
    const stretch = stepsOf(leaning).filter(({ technique }) => technique.id === 'neck-side-stretch');
    expect(stretch.map(({ side }) => side)).toEqual(['right', 'left']);
    expect(stretch.flatMap(({ places }) => places)).toEqual(['neck-side.right', 'neck-side.left']);
    expect(new Set(stretch.map(({ id }) => id)).size).toBe(2);
  });

  it('leans the other way for the other side', () => {
    const left = plan(['lifting-facial'], { ...right, side: 'left' });
    expect(namesOf(left)).toEqual(namesOf(plain));
    expect(secondsOn('left', stepsOf(left))).toBeGreaterThan(secondsOn('right', stepsOf(left)));
  });

  it('is not offered where nothing has sides, nor where it was tighter elsewhere', () => {
    const { blocks } = judged(['lifting-facial'], [], undefined, { affected: null });
    expect(canLean(blocks, right, repetitionSecondsOf)).toBe(true);
    const head = blocks.filter(({ steps }) => steps.every(({ side }) => side === 'both'));
    expect(canLean(head, right, repetitionSecondsOf)).toBe(false);
    expect(canLean(blocks, { side: 'left', regions: ['calf'] }, repetitionSecondsOf)).toBe(false);
  });

  it('leaves alone what the therapist has said how often', () => {
    const allowed = judged(['lifting-facial'], [], undefined, { affected: null });
    const set = allowed.blocks.map((block) => ({
      ...block,
      steps: block.steps.map((step) => ({ ...step, isSet: true })),
    }));
    const { leanedSeconds } = planTreatment(
      anatomy.groups,
      { ...allowed, blocks: leaned(set, right) },
      { minutes: 60, isShort: false, fill: false, lean: right },
    );
    expect(leanedSeconds).toBe(0);
  });
});

describe('work of several kinds that leans', () => {
  it('keeps each kind within its own time', () => {
    const regions = ['cheek', 'jaw', 'lip-upper', 'lip-lower', 'cheek-outer', 'neck-side'];
    for (const minutes of [45, 60, 75]) {
      const lean: Lean = { side: 'right', regions };
      const [without, withIt] = [false, true].map((isMoved) =>
        plan(['lifting-facial', 'mouth-gloved'], lean, minutes, isMoved),
      );
      for (const kind of ['facial-massage', 'facial-intraoral']) {
        const secondsOf = (one: TreatmentPlan | undefined) =>
          (one?.blocks ?? [])
            .filter(({ modality }) => modality === kind)
            .flatMap(({ steps }) => steps)
            .reduce((sum, { seconds }) => sum + seconds, 0);
        expect(secondsOf(withIt), `${kind} in ${minutes} minutes`).toBeLessThanOrEqual(secondsOf(without));
      }
    }
  });
});

const withSteps = [...shippedLibrary.protocols.values()].filter(({ source }) => source === 'steps');

describe('every protocol that ships, tighter everywhere on one side', () => {
  it.each(withSteps.map(({ id, usualMinutes }) => [id, usualMinutes] as const))(
    '%s never takes longer',
    (id, minutes) => {
      const regions = [...new Set([...anatomy.territories.keys()].map((place) => place.split('.')[0] ?? place))];
      for (const side of ['left', 'right'] as const) {
        const lean: Lean = { side, regions };
        const [without, withIt] = [plan([id], lean, minutes, false), plan([id], lean, minutes)];
        expect(withIt.totalSeconds).toBeLessThanOrEqual(without.totalSeconds + 1e-9);
        expect(withIt.fits).toBe(without.fits);
        expect(errorsOf(withIt)).toEqual(errorsOf(without));
        expect(stepsOf(withIt).every(({ repetitions }) => repetitions >= 1)).toBe(true);
        expect(withIt.leanedSeconds > 0).toBe(stepsOf(withIt).some(({ note }) => note.includes('The tighter side')));
      }
    },
  );
});
