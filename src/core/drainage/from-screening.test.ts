import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook } from '../../catalogue/screening/screening';
import { type DrainageCase, defaultSchool, readCase } from './case';
import { checkCourse } from './check';
import { planDrainage } from './plan';
import { pressures } from '../screening/tables';
import { drainageFindings, type RecordedCondition, screenedDrainage } from './from-screening';
import { readScreening } from '../screening/read-request';
import { screen } from '../screening/screen';

const qualifications = ['massage', 'lymphoedema-certified'] as const;

function caseWith(conditions: readonly RecordedCondition[], focus: readonly string[], age = 50): DrainageCase {
  const read = readScreening(screeningBook, {
    visitDate: '2026-04-02',
    age,
    conditions,
    qualifications: [...qualifications],
    modalities: ['lymph-drainage', 'reroute-drainage'],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return {
    focus,
    purpose: 'swelling',
    findings: drainageFindings(screeningBook, conditions),
    school: defaultSchool,
    minutes: 60,
    fill: false,
    qualifications: [...qualifications],
    screened: screenedDrainage(screen(screeningBook, read.value)),
  };
}
function plan(input: DrainageCase) {
  const read = readCase(anatomy, input);
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  const made = planDrainage(anatomy, read.value);
  return { made, violations: checkCourse(anatomy, read.value, made.steps) };
}

describe('findings for drainage', () => {
  it('take side, places and crossings along', () => {
    expect(
      drainageFindings(screeningBook, [
        { id: 'nodes-removed-axillary', side: 'left' },
        { id: 'nodes-removed-pelvic', side: 'right' },
        { id: 'irradiated-skin', regions: ['axillary.left'] },
        { id: 'scar-mature', regions: ['pubic.left'], crosses: [['pubic.left', 'pubic.right']] },
        { id: 'asthma' },
      ]),
    ).toEqual([
      { id: 'nodes-removed-axillary', side: 'left' },
      { id: 'nodes-removed-pelvic', side: 'right' },
      { id: 'irradiated', regions: ['axillary.left'] },
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
      { id: 'cancer-history' },
    ]);
  });

  it('count nodes whose side nobody gave as gone on both', () => {
    expect(drainageFindings(screeningBook, [{ id: 'nodes-sentinel-inguinal' }])[0]).toEqual({
      id: 'nodes-sentinel-inguinal',
      side: 'both',
    });
  });
});

describe('a plan that obeys screening', () => {
  it('keeps off what is stopped, and leads nothing across it', () => {
    const input = caseWith([{ id: 'sunburn', regions: ['toes.left'] }], ['leg.left']);
    expect(input.screened?.keptOff).toEqual(['toes.left']);
    const { made, violations } = plan(input);
    expect(made.decision).toBe('modify');
    expect(violations).toEqual([]);
    const touched = made.steps.flatMap((s) => [s.place, ...s.via, s.toward]);
    expect(touched).not.toContain('toes.left');
    expect(made.waiting).toContain('toes.left');
  });

  it('is no firmer than allowed, everywhere and in places', () => {
    const input = caseWith(
      [{ id: 'hypertension-controlled' }, { id: 'bruise', regions: ['thigh-upper-outer.left'] }],
      ['leg.left'],
      66,
    );
    const { made, violations } = plan({ ...input, purpose: 'wellness' });
    const max = input.screened?.maxPressure ?? 'firm';
    for (const step of made.steps) {
      const allowed = input.screened?.lighterAt[step.place] ?? max;
      expect(pressures.indexOf(step.pressure)).toBeLessThanOrEqual(pressures.indexOf(allowed));
    }
    expect(violations).toEqual([]);
  });

  it('stands under the worse of both decisions, with the reasons of screening first', () => {
    const { made } = plan(
      caseWith(
        [
          { id: 'lymphoedema-one-limb', regions: ['calf-upper.left'] },
          { id: 'skin-infection-local', regions: ['sole.left'] },
        ],
        ['leg.left'],
      ),
    );
    const [first] = made.reasons;
    expect(first?.rule).toBe('screening');
    expect(['modify', 'refer']).toContain(made.decision);
    const { made: cleared } = plan(caseWith([{ id: 'swelling-both-legs' }], ['leg.left', 'leg.right']));
    expect(cleared.decision).toBe('clear-first');
    expect(cleared.steps.length).toBeGreaterThan(0);
  });

  it('leaves the hollow above a collarbone alone when its neck is stopped', () => {
    const neck = ['neck-front.left', 'neck-side.left'];
    const { made } = plan(caseWith([{ id: 'sunburn', regions: neck }], ['arm.right']));
    expect(made.steps.some((s) => s.kind === 'clear' && s.place === 'terminus.left')).toBe(false);
  });
});
