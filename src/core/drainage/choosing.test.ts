import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { makeCase, mustRead } from './fixtures';
import { largestRemainders, planDrainage, readChosen } from './plan';

const certified = { qualifications: ['lymphoedema-certified'] } as const;
const groinGone = { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }], ...certified } as const;
const chosen = (change: { readonly use?: readonly string[]; readonly refuse?: readonly string[] }) => {
  const read = readChosen(anatomy, { ...makeCase(['leg.left'], groinGone), ...change });
  return read.ok ? planDrainage(anatomy, read.value) : read.errors;
};
const planOf = (...args: Parameters<typeof makeCase>) => planDrainage(anatomy, mustRead(anatomy, makeCase(...args)));

describe('choosing the ways', () => {
  it('offers every lawful way with its cost and minutes, and says which are taken', () => {
    const { candidates = [] } = planOf(['leg.left'], groinGone);
    expect(candidates.map(({ to, cost, chosen: isChosen }) => [to, cost, isChosen]).slice(0, 2)).toEqual([
      ['axillary.left', 5, true],
      ['inguinal.right', 7, true],
    ]);
    for (const one of candidates) {
      expect(one.minutes).toBeGreaterThan(0);
      expect(one.crosses).toEqual([]);
      expect(one.why.endsWith('.')).toBe(true);
    }
  });

  it('uses one way alone when the therapist says so', () => {
    expect(chosen({ use: ['inguinal.right'] })).toMatchObject({ exits: [{ to: 'inguinal.right', share: 1 }] });
  });

  it('does without a way that is refused', () => {
    const plan = chosen({ refuse: ['inguinal.right'] });
    expect(plan).toMatchObject({ exits: [{ to: 'axillary.left' }] });
    expect(JSON.stringify(plan)).not.toContain('"toward":"inguinal.right"');
  });

  it.each([
    [{ use: ['inguinal.left'] }, 'use.0', 'removed'],
    [{ refuse: ['axillary.right', 'cervical.left'] }, 'refuse.1', 'No lawful way'],
    [{ use: ['axillary.left'], refuse: ['axillary.left'] }, 'use.0', 'not both'],
    [{ use: ['thigh-upper-outer.left'] }, 'use.0', 'not a node group'],
  ])('refuses %o by its field, with the reason', (change, path, words) => {
    const errors = chosen(change) as readonly { path: string; message: string }[];
    expect(
      errors.some((one) => one.path === path && one.message.includes(words)),
      JSON.stringify(errors),
    ).toBe(true);
  });
});

describe('shares', () => {
  it('sum to one, to the hundredth', () => {
    const parts = fc.array(fc.integer({ min: 1, max: 24 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(parts, (costs) => {
        const total = costs.reduce((sum, cost) => sum + 1 / cost, 0);
        const whole = largestRemainders(
          costs.map((cost) => 100 / cost / total),
          100,
        );
        expect(whole.reduce((sum, one) => sum + one, 0)).toBe(100);
      }),
    );
  });
});

describe('how the client lies', () => {
  it('is over and back once for the whole body, opening and closing on the back', () => {
    const plan = planOf(['whole-body'], { minutes: 240 });
    expect(plan.turns).toBe(2);
    const turns = plan.steps.filter(({ kind }) => kind === 'turn');
    expect(turns.map(({ position, seconds }) => [position, seconds])).toEqual([
      ['prone', 120],
      ['supine', 120],
    ]);
    for (const { kind, place, position } of plan.steps)
      if (kind === 'drain') expect(position).toBe(place.startsWith('back-') ? 'prone' : 'supine');
    expect(plan.steps.at(-1)?.position).toBe('supine');
  });

  it('is never a turn where nothing of the back is worked', () => {
    expect(planOf(['leg.left', 'arm.right'], {}).turns).toBe(0);
  });

  it('is on the side where face down is out', () => {
    const input = makeCase(['trunk-upper.left'], {});
    const ok = { decision: 'ok', reasons: [] } as const;
    const screened = { drainage: ok, rerouting: ok, keptOff: [], lighterAt: {}, avoidPosition: ['prone'] };
    const plan = planDrainage(anatomy, mustRead(anatomy, { ...input, screened }));
    expect(new Set(plan.steps.map(({ position }) => position))).toEqual(new Set(['supine', 'side']));
  });
});

describe('what has to wait', () => {
  it('takes its groups and ways with it', () => {
    const plan = planOf(['leg.left', 'leg.right'], { minutes: 12 });
    expect(plan.fits).toBe(false);
    const drained = new Set(plan.steps.filter(({ kind }) => kind === 'drain').map(({ place }) => place));
    for (const side of ['left', 'right']) {
      if ([...drained].some((place) => place.endsWith(`.${side}`))) continue;
      expect(plan.steps.some(({ place }) => place === `popliteal.${side}`)).toBe(false);
    }
    for (const place of plan.waiting) expect(drained.has(place)).toBe(false);
  });

  it('leaves no time unused that a waiting territory could have had', () => {
    const plan = planOf(['leg.left'], { ...groinGone, minutes: 14 });
    expect(plan.totalSeconds).toBeLessThanOrEqual(14 * 60);
    expect(plan.totalSeconds).toBeGreaterThan(14 * 60 - 60);
  });
});

describe('two limbs', () => {
  it('are finished one after the other, the terminus opened again between them', () => {
    const plan = planOf(['arm.left', 'arm.right'], { minutes: 120 });
    const arms = plan.steps.filter(({ kind }) => kind === 'drain').map(({ place }) => place.split('.')[1]);
    expect(arms.indexOf('right')).toBe(arms.lastIndexOf('left') + 1);
    const between = plan.steps.findIndex(({ kind, place }) => kind === 'drain' && place.endsWith('.right')) - 1;
    expect(plan.steps[between]).toMatchObject({ kind: 'clear', place: 'terminus.right' });
  });
});

describe('the roller', () => {
  it('is not led round by a group that its way never touches', () => {
    const roller = {
      school: { hand: 'roller' },
      findings: [{ id: 'nodes-removed-neck', side: 'left' }],
      ...certified,
    } as const;
    const lower = planOf(['chin.left', 'jaw.left'], roller);
    expect(lower.reasons.map(({ rule }) => rule)).toContain('natural');
  });
});
