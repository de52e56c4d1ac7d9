import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { candidatesOf, whyNotUsed } from './candidates';
import { makeCase, mustRead, type Wish } from './fixtures';
import { planDrainage } from './plan';
import { findPrecedences } from './precedence';
import { decide } from './reasons';
import type { Step } from './step';
import { surveyCase } from './survey';

const groinGone = [{ id: 'nodes-removed-inguinal', side: 'left' }] as const;

function course(focus: readonly string[], wish: Wish = {}) {
  const read = mustRead(anatomy, makeCase([...focus], wish));
  const survey = surveyCase(anatomy, read);
  const { steps } = planDrainage(anatomy, read);
  const find = (kind: Step['kind'], place: string) => steps.find((one) => one.kind === kind && one.place === place);
  const rulesOf = (arranged: readonly Step[]) => findPrecedences(anatomy, read, survey, arranged);
  return { read, survey, steps, find, rulesOf };
}

describe('what has to come before what', () => {
  it('the hollow above the collarbone comes before everything but breath, on both sides', () => {
    const { steps, find, rulesOf } = course(['leg.left']);
    const { precedences, missing } = rulesOf(steps);
    expect(missing).toEqual([]);
    for (const side of ['left', 'right']) {
      const open = find('clear', `terminus.${side}`);
      const held = precedences.filter(({ first, rule }) => first.id === open?.id && rule === 'start-at-terminus');
      const hands = steps.filter(
        ({ kind, place }) =>
          kind !== 'breathe' && kind !== 'turn' && !(kind === 'clear' && place.startsWith('terminus')),
      );
      expect(new Set(held.map(({ then }) => then.id))).toEqual(new Set(hands.map(({ id }) => id)));
    }
  });

  it('the deep belly comes before a groin, which is missed when nobody breathes', () => {
    const { steps, rulesOf } = course(['leg.left']);
    const without = steps.filter(({ kind }) => kind !== 'breathe');
    const { missing } = rulesOf(without);
    expect(missing.map(({ rule }) => rule)).toContain('deep-before-lower');
    expect(missing.map(({ rule }) => rule)).toContain('close-with-breath');
  });

  it('a group is open before anything is led into it', () => {
    const { steps, find, rulesOf } = course(['leg.left']);
    const groin = find('clear', 'inguinal.left');
    const { missing } = rulesOf(steps.filter(({ id }) => id !== groin?.id));
    expect(missing.filter(({ rule }) => rule === 'basin-before-skin').map(({ place }) => place)).toContain(
      'inguinal.left',
    );
  });

  it('thickened skin is softened first, and that is missed where it is not', () => {
    const { steps, find, rulesOf } = course(['leg.left'], {
      findings: [{ id: 'thickened', regions: ['shin-lower.left'] }],
    });
    const [soften, drain] = [find('soften', 'shin-lower.left'), find('drain', 'shin-lower.left')];
    expect(rulesOf(steps).precedences).toContainEqual(
      expect.objectContaining({ first: soften, then: drain, rule: 'soften-thickened', severity: 'error' }),
    );
    expect(rulesOf(steps.filter(({ id }) => id !== soften?.id)).missing).toContainEqual(
      expect.objectContaining({ rule: 'soften-thickened', place: 'shin-lower.left' }),
    );
  });

  it('the sound side comes first where one side is led round, as advice only', () => {
    const { steps, find, rulesOf } = course(['leg.left'], { findings: groinGone });
    const sound = find('clear', 'inguinal.right');
    const asked = rulesOf(steps).precedences.filter(({ rule }) => rule === 'sound-side-first');
    expect(asked.length).toBeGreaterThan(0);
    expect(new Set(asked.map(({ severity }) => severity))).toEqual(new Set(['warning']));
    expect(new Set(asked.map(({ first }) => first.id))).toEqual(new Set([sound?.id]));
  });

  it('what the planner has made keeps every one of its own rules', () => {
    for (const focus of [['leg.left'], ['arm.right'], ['face', 'neck'], ['abdomen'], ['whole-body']]) {
      const { steps, rulesOf } = course(focus, { minutes: 90 });
      const at = new Map(steps.map(({ id }, i) => [id, i]));
      for (const { first, then, rule } of rulesOf(steps).precedences)
        expect((at.get(first.id) ?? 0) < (at.get(then.id) ?? 0), `${focus.join()} ${rule}`).toBe(true);
    }
  });
});

describe('ways that the rules allow', () => {
  it('are none where nothing has lost its own', () => {
    const { survey } = course(['leg.left']);
    expect(candidatesOf(anatomy, survey)).toEqual([]);
  });

  it('are told cheapest first, each with its minutes, and the chosen ones say how they lead', () => {
    const { survey } = course(['leg.left'], { findings: groinGone, minutes: 60 });
    const candidates = candidatesOf(anatomy, survey);
    expect(candidates.length).toBeGreaterThan(1);
    expect(candidates.map(({ cost }) => cost)).toEqual(candidates.map(({ cost }) => cost).toSorted((a, b) => a - b));
    for (const { minutes, chosen, why, crosses } of candidates) {
      expect(minutes).toBeGreaterThan(0);
      expect(crosses).toEqual([]);
      if (chosen) expect(why).toMatch(/^Led .* hand’s widths\.$/);
    }
    expect(candidates.some(({ chosen }) => chosen)).toBe(true);
  });

  it('are refused with the reason where they cannot be', () => {
    const { read, survey } = course(['leg.left'], { findings: groinGone });
    const [lawful] = survey.lawful;
    expect(whyNotUsed(anatomy, read, survey, lawful?.to ?? '')).toBeUndefined();
    expect(whyNotUsed(anatomy, read, survey, 'inguinal.left')).toBeTruthy();
    const plain = course(['leg.left']);
    expect(whyNotUsed(anatomy, plain.read, plain.survey, 'axillary.left')).toMatch(/own open group/);
  });
});

describe('the decision of a plan', () => {
  const decided = (focus: readonly string[], wish: Wish = {}) => {
    const { read, survey } = course(focus, wish);
    const { decision, reasons } = decide(anatomy, read, survey);
    return { decision, rules: reasons.map(({ rule }) => rule) };
  };

  it('is ok where all groups are open, and says so', () => {
    expect(decided(['leg.left'])).toEqual({ decision: 'ok', rules: ['natural'] });
  });

  it('is to go round, with what is closed named', () => {
    const { decision, rules } = decided(['leg.left'], {
      findings: groinGone,
      qualifications: ['lymphoedema-certified'],
    });
    expect(decision).toBe('modify');
    expect(rules).toContain('no-blocked-target');
    expect(rules).not.toContain('natural');
  });

  it('is to refer where going round needs a training that is not held', () => {
    const { decision, rules } = decided(['leg.left'], { findings: groinGone, qualifications: [] });
    expect(decision).toBe('refer');
    expect(rules[0]).toBe('qualification');
  });

  it('names scars, open skin, irradiated skin and ports, each in its own words', () => {
    const { rules } = decided(['leg.left'], {
      findings: [
        { id: 'open-wound', regions: ['shin-lower.left'] },
        { id: 'irradiated', regions: ['thigh-upper-inner.left'] },
        { id: 'port', regions: ['chest-upper.left'] },
      ],
    });
    expect(rules).toEqual(expect.arrayContaining(['closed-wound-only', 'feather-on-irradiated', 'around-port']));
  });
});
