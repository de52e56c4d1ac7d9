import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { makeCase, planOf } from './fixtures';
import { readCase } from './case';
import type { DrainagePlan } from './plan';
import type { StepKind } from './step';

const places = (plan: DrainagePlan, kind: StepKind) => plan.steps.filter((s) => s.kind === kind).map((s) => s.place);
const leftGroinGone = { findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] } as const;
const leftArmpitGone = { findings: [{ id: 'nodes-removed-axillary', side: 'left' }] } as const;

describe('left leg, left groin nodes removed', () => {
  const plan = planOf(anatomy, ['leg.left'], leftGroinGone);

  it('leads the leg to the left armpit by the flank and to the right groin over the pubic mound', () => {
    expect(plan.exits.map(({ to, cost, share }) => ({ to, cost, share }))).toEqual([
      { to: 'axillary.left', cost: 5, share: 0.58 },
      { to: 'inguinal.right', cost: 7, share: 0.42 },
    ]);
    expect(plan.exits[0]?.path).toEqual([
      'thigh-upper-outer.left',
      'flank-lower.left',
      'flank-upper.left',
      'axillary.left',
    ]);
    expect(plan.exits[1]?.path.slice(2)).toEqual(['abdomen-lower.left', 'pubic.left', 'pubic.right', 'inguinal.right']);
  });

  it('opens the terminus, breathes, then clears the sound groin and the armpit', () => {
    expect(plan.steps.slice(0, 5).map((s) => `${s.kind} ${s.place}`)).toEqual([
      'clear terminus.left',
      'clear terminus.right',
      'breathe abdominal-deep.mid',
      'clear inguinal.right',
      'clear axillary.left',
    ]);
  });

  it('prepares both ways from the group outward, the shared stretch once', () => {
    expect(places(plan, 'prepare')).toEqual([
      'flank-upper.left',
      'flank-lower.left',
      'pubic.right',
      'pubic.left',
      'abdomen-lower.left',
      'buttock.left',
      'knee-outer.left',
    ]);
  });

  it('takes about two minutes round the knee before the first stroke on the shin', () => {
    const at = plan.steps.findIndex(({ kind, place }) => kind === 'prepare' && place === 'knee-outer.left');
    expect(plan.steps[at]?.seconds).toBeGreaterThan(100);
    expect(plan.steps[at]?.seconds).toBeLessThan(140);
    const below = plan.steps.findIndex(({ place }) => place === 'shin-upper.left' || place === 'calf-upper.left');
    expect(at).toBeLessThan(below);
  });

  it('drains from the thigh to the toes, each place once', () => {
    const drained = places(plan, 'drain');
    expect(new Set(drained).size).toBe(21);
    const firsts = [
      'thigh-upper-outer',
      'buttock',
      'thigh-lower-outer',
      'knee-outer',
      'shin-upper',
      'calf-lower',
      'ankle-inner',
      'foot-top',
      'toes',
    ];
    const at = firsts.map((name) => drained.indexOf(`${name}.left`));
    expect(at).toEqual([...at].sort((a, b) => a - b));
  });

  it('directs nothing to the closed groin, behind the knee or over the kneecap', () => {
    const entered = plan.steps.flatMap((s) => [s.toward, ...s.via]);
    for (const id of ['inguinal.left', 'popliteal.left', 'knee-front.left', 'knee-crease.left'])
      expect(entered).not.toContain(id);
  });

  it('carries on after each segment, the exits in turn by their shares', () => {
    const carries = plan.steps.filter((s) => s.kind === 'carry').map((s) => s.toward);
    expect(carries).toHaveLength(8);
    expect(carries.filter((to) => to === 'axillary.left')).toHaveLength(5);
  });

  it('says why, and why not the groin', () => {
    expect(plan.rejected.find((r) => r.to === 'inguinal.left')?.why).toContain('removed');
    expect(plan.steps.every((s) => s.why.length > 20)).toBe(true);
    expect(plan.decision).toBe('modify');
  });

  it('refers without the lymphoedema qualification, but still shows the plan', () => {
    const shown = planOf(anatomy, ['leg.left'], { ...leftGroinGone, qualifications: ['massage', 'lymph-basic'] });
    expect(shown.decision).toBe('refer');
    expect(shown.reasons[0]?.rule).toBe('qualification');
    expect(shown.steps.length).toBe(plan.steps.length);
  });

  it('touches what is left of the groin once, after the ways are open, where the school asks for it', () => {
    const plan2 = planOf(anatomy, ['leg.left'], { ...leftGroinGone, school: { removedSide: 'reroute-and-stimulate' } });
    const at = plan2.steps.findIndex((s) => s.kind === 'clear' && s.place === 'inguinal.left');
    expect(plan2.steps[at]?.rules).toEqual(['stimulate-last']);
    expect(plan2.steps.slice(0, at).filter((s) => s.kind === 'prepare')).toHaveLength(6);
    expect(plan2.steps[at + 1]?.kind).toBe('drain');
  });

  it('takes one exit only where the school wants one', () => {
    expect(planOf(anatomy, ['leg.left'], { ...leftGroinGone, school: { exits: 1 } }).exits.map((e) => e.to)).toEqual([
      'axillary.left',
    ]);
  });
});

describe('left arm, left armpit nodes removed', () => {
  const plan = planOf(anatomy, ['arm.left'], leftArmpitGone);

  it('has three ways out, the near one over the shoulder', () => {
    expect(plan.exits.map(({ to, cost }) => [to, cost])).toEqual([
      ['terminus.left', 3],
      ['axillary.right', 5],
      ['inguinal.left', 7],
    ]);
  });

  it('clears the right armpit before the left groin and prepares chest and flank from their groups', () => {
    expect(places(plan, 'clear')).toEqual(['terminus.left', 'terminus.right', 'axillary.right', 'inguinal.left']);
    const prepared = places(plan, 'prepare');
    expect(prepared.indexOf('chest-upper.right')).toBeLessThan(prepared.indexOf('chest-upper.left'));
    expect(prepared.indexOf('flank-lower.left')).toBeLessThan(prepared.indexOf('flank-upper.left'));
  });

  it('drains from the shoulder cap to the fingers', () => {
    const drained = places(plan, 'drain');
    expect([drained[0], drained.at(-1)]).toEqual(['shoulder-cap.left', 'fingers.left']);
  });
});

describe('both armpits removed, both arms in focus', () => {
  const plan = planOf(anatomy, ['arm.left', 'arm.right'], {
    findings: [{ id: 'nodes-removed-axillary', side: 'both' }],
    minutes: 90,
  });

  it('uses each own groin and terminus and never crosses the middle line', () => {
    expect(new Set(plan.exits.map((e) => e.to))).toEqual(
      new Set(['terminus.left', 'terminus.right', 'inguinal.left', 'inguinal.right']),
    );
    for (const exit of plan.exits) expect(new Set(exit.path.map((id) => id.split('.')[1])).size).toBe(1);
    expect(plan.exits.reduce((sum, e) => sum + e.share, 0)).toBeCloseTo(1, 1);
  });
});

describe('well client, puffy ankles after travel', () => {
  const plan = planOf(anatomy, ['leg.left', 'leg.right'], { purpose: 'wellness', qualifications: ['massage'] });

  it('goes the natural way: groins, backs of the knees, then thighs to feet', () => {
    expect(plan.decision).toBe('ok');
    expect(places(plan, 'clear')).toEqual([
      'terminus.left',
      'terminus.right',
      'inguinal.left',
      'inguinal.right',
      'popliteal.left',
      'popliteal.right',
      // One leg has emptied into them: opened again before the other.
      'terminus.left',
      'terminus.right',
    ]);
    const drained = places(plan, 'drain');
    const order = [
      'thigh-upper-outer.left',
      'thigh-lower-inner.left',
      'knee-inner.left',
      'calf-upper.left',
      'ankle-outer.left',
      'sole.left',
    ];
    const at = order.map((id) => drained.indexOf(id));
    expect(at).toEqual([...at].sort((a, b) => a - b));
    expect(places(plan, 'carry')).toEqual([]);
  });
});

describe('puffy face, no findings', () => {
  it('clears neck, jaw and ear groups, drains lower before upper face and ends down the neck', () => {
    const plan = planOf(anatomy, ['face'], { purpose: 'puffy-face', qualifications: ['esthetics'] });
    expect(places(plan, 'clear').slice(0, 4)).toEqual([
      'terminus.left',
      'terminus.right',
      'cervical.left',
      'cervical.right',
    ]);
    expect(places(plan, 'clear')).toEqual(
      expect.arrayContaining(['submandibular.left', 'submental.right', 'preauricular.left']),
    );
    const drained = places(plan, 'drain');
    const lower = ['chin.left', 'jaw.right', 'lip-lower.left', 'lip-upper.right', 'under-chin.left'].map((id) =>
      drained.indexOf(id),
    );
    const upper = ['forehead.left', 'temple.right', 'cheek.left', 'eyelid-lower.right', 'nose.left'].map((id) =>
      drained.indexOf(id),
    );
    expect(Math.max(...lower)).toBeLessThan(Math.min(...upper));
    expect(places(plan, 'close')).toEqual(['cervical.left', 'cervical.right', 'terminus.left', 'terminus.right']);
  });

  it('rolls the lower face down the front of the neck and the upper to the ear', () => {
    const plan = planOf(anatomy, ['face'], { school: { hand: 'roller' } });
    const toward = (id: string) => plan.steps.find((s) => s.kind === 'drain' && s.place === id)?.toward;
    expect([
      toward('under-chin.left'),
      toward('jaw.left'),
      toward('forehead.left'),
      toward('cheek-outer.left'),
    ]).toEqual(['neck-front.left', 'neck-side.left', 'temple.left', 'preauricular.left']);
    expect(places(plan, 'clear')).not.toContain('submandibular.left');
  });
});

describe('what lies in the way', () => {
  const towards = (plan: DrainagePlan) => plan.exits.map((e) => `${e.to} ${e.cost}`);

  it('goes round a scar across the pubic mound', () => {
    const plan = planOf(anatomy, ['leg.left'], {
      findings: [...leftGroinGone.findings, { id: 'scar', crosses: [['pubic.left', 'pubic.right']] }],
    });
    expect(towards(plan)).toEqual(['axillary.left 5']);
    expect(plan.rejected.find((r) => r.to === 'inguinal.right')?.why).toContain('Further');
  });

  it('counts irradiated skin as one more and works it feather light, even on a well client', () => {
    const plan = planOf(anatomy, ['leg.left'], {
      purpose: 'wellness',
      findings: [...leftGroinGone.findings, { id: 'irradiated', regions: ['flank-upper.left'] }],
    });
    expect(towards(plan)).toEqual(['axillary.left 6', 'inguinal.right 7']);
    const flank = plan.steps.find((s) => s.place === 'flank-upper.left');
    expect([flank?.pressure, flank?.rules.includes('feather-on-irradiated')]).toEqual(['feather', true]);
    expect(plan.steps.find((s) => s.place === 'flank-lower.left')?.pressure).toBe('light');
  });

  it('goes over the back when a port lies on the chest, and keeps a hand away from it where it must be worked', () => {
    const port = { id: 'port', regions: ['chest-upper.right'] } as const;
    const arm = planOf(anatomy, ['arm.left'], { findings: [...leftArmpitGone.findings, port] });
    expect(arm.exits.find((e) => e.to === 'axillary.right')).toMatchObject({ cost: 5.5 });
    expect(arm.exits.find((e) => e.to === 'axillary.right')?.path).toContain('back-upper.right');
    const trunk = planOf(anatomy, ['trunk-upper.right'], { findings: [port] });
    const chest = trunk.steps.find((s) => s.kind === 'drain' && s.place === 'chest-upper.right');
    expect([chest?.rules.includes('around-port'), chest?.cautions[0]]).toEqual([
      true,
      'Stay a hand’s width away from the port.',
    ]);
  });

  it('closes an irradiated group', () => {
    const plan = planOf(anatomy, ['arm.left'], { findings: [{ id: 'irradiated', regions: ['axillary.left'] }] });
    expect(plan.exits.map((e) => e.to)).not.toContain('axillary.left');
  });

  it('keeps a group with few nodes taken open, two dearer', () => {
    const plan = planOf(anatomy, ['arm.left'], { findings: [{ id: 'nodes-sentinel-axillary', side: 'left' }] });
    expect(towards(plan)).toEqual(['axillary.left 4']);
    expect(plan.decision).toBe('modify');
  });

  it('never touches an open wound: it waits, and routes go round it', () => {
    const plan = planOf(anatomy, ['leg.left'], { findings: [{ id: 'open-wound', regions: ['shin-lower.left'] }] });
    expect(plan.waiting).toEqual(['shin-lower.left']);
    expect(plan.steps.flatMap((s) => [s.place, s.toward, ...s.via])).not.toContain('shin-lower.left');
  });

  it('softens thickened skin first and doubles its draining', () => {
    const plan = planOf(anatomy, ['leg.left'], { findings: [{ id: 'thickened', regions: ['ankle-inner.left'] }] });
    expect(places(plan, 'soften')).toEqual(['ankle-inner.left']);
    expect(plan.steps.find((s) => s.kind === 'drain' && s.place === 'ankle-inner.left')?.repetitions).toBe(14);
  });

  it('refers when no way out is left', () => {
    const plan = planOf(anatomy, ['leg.left'], {
      findings: [
        { id: 'nodes-removed-inguinal', side: 'both' },
        { id: 'nodes-removed-axillary', side: 'both' },
        {
          id: 'open-wound',
          regions: ['shoulder-top.left', 'neck-front.left', 'shoulder-top.right', 'neck-front.right'],
        },
      ],
    });
    expect(plan.decision).toBe('refer');
    expect(plan.reasons[0]?.rule).toBe('no-exit');
    expect(plan.waiting).toContain('calf-upper.left');
  });

  it('refers both legs after cancer without the qualification', () => {
    const wish = { findings: [{ id: 'cancer-history' }], qualifications: ['massage'] } as const;
    expect(planOf(anatomy, ['leg.left', 'leg.right'], wish).decision).toBe('refer');
    expect(
      planOf(anatomy, ['leg.left', 'leg.right'], { ...wish, qualifications: ['lymphoedema-certified'] }).decision,
    ).toBe('modify');
  });
});

describe('fitting the time', () => {
  const usual = planOf(anatomy, ['leg.left'], leftGroinGone);

  it('ends early by default and fills the visit when asked', () => {
    const filled = planOf(anatomy, ['leg.left'], { ...leftGroinGone, minutes: 45, fill: true });
    expect(usual.totalSeconds).toBeLessThan(30 * 60);
    expect(filled.totalSeconds).toBeGreaterThan(38 * 60);
    expect(filled.totalSeconds).toBeLessThanOrEqual(45 * 60);
    expect(filled.steps.find((s) => s.kind === 'clear')?.repetitions).toBe(10);
  });

  it('takes repetitions first, then the return pass, then the second exit', () => {
    const stages: string[] = [];
    for (let minutes = 32; minutes >= 8; minutes -= 0.25) {
      const plan = planOf(anatomy, ['leg.left'], { ...leftGroinGone, minutes });
      const isFewer = plan.steps.some((s) => s.kind === 'drain' && s.repetitions < 7);
      const hasReturn = places(plan, 'return').length > 0;
      const stage = plan.fits
        ? `${isFewer ? 'fewer' : 'usual'}, ${hasReturn ? 'a return' : 'no return'}, ${plan.exits.length} exits`
        : 'too short';
      if (stages.at(-1) !== stage) stages.push(stage);
    }
    expect(stages).toEqual([
      'usual, a return, 2 exits',
      'fewer, a return, 2 exits',
      'fewer, no return, 2 exits',
      'fewer, no return, 1 exits',
      'too short',
    ]);
  });

  it('names what has to wait, from the far end, when nothing else helps', () => {
    const plan = planOf(anatomy, ['leg.left'], { ...leftGroinGone, minutes: 10 });
    expect(plan.fits).toBe(false);
    expect(plan.waiting).toContain('toes.left');
    expect(plan.waiting).not.toContain('thigh-upper-outer.left');
    expect(plan.reasons.find((r) => r.rule === 'time')?.text).toMatch(/Short by \d minutes/);
    expect(plan.totalSeconds).toBeLessThanOrEqual(600);
  });
});

describe('refusing a case', () => {
  const errorsOf = (...args: Parameters<typeof makeCase>) => {
    const read = readCase(anatomy, makeCase(...args));
    return read.ok ? [] : read.errors.map((error) => error.path);
  };

  it('names the field of an unknown place, an empty focus and impossible minutes', () => {
    expect(errorsOf(['tail.left'])).toEqual(['focus.0']);
    expect(errorsOf(['inguinal.left'])).toEqual(['focus.0']);
    expect(errorsOf([])).toEqual(['focus']);
    expect(errorsOf(['face'], { minutes: 0 })).toEqual(['minutes']);
    expect(errorsOf(['face'], { minutes: 5000 })).toEqual(['minutes']);
  });

  it('names the finding that lacks its place or contradicts another', () => {
    expect(errorsOf(['face'], { findings: [{ id: 'nodes-removed-neck' }] })).toEqual(['findings.0.side']);
    expect(errorsOf(['face'], { findings: [{ id: 'port' }] })).toEqual(['findings.0.regions']);
    expect(errorsOf(['face'], { findings: [{ id: 'scar', crosses: [['pubic.left']] }] })).toEqual([
      'findings.0.crosses.0',
    ]);
    expect(errorsOf(['face'], { findings: [{ id: 'open-wound', regions: ['moon.left'] }] })).toEqual([
      'findings.0.regions.0',
    ]);
    const both = {
      findings: [
        { id: 'nodes-removed-axillary', side: 'both' },
        { id: 'nodes-sentinel-axillary', side: 'left' },
      ],
    } as const;
    expect(errorsOf(['arm.left'], both)).toEqual(['findings.1']);
  });
});
