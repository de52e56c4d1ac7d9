import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { applyFix, checkCourse } from './check';
import { makeCase, mustRead, type Wish } from './fixtures';
import { planDrainage } from './plan';
import type { Step } from './step';

const groinGone = [{ id: 'nodes-removed-inguinal', side: 'left' }] as const;

function course(wish: Wish = { findings: groinGone }) {
  const read = mustRead(anatomy, makeCase(['leg.left'], wish));
  const { steps } = planDrainage(anatomy, read);
  const find = (kind: Step['kind'], place: string) => steps.find((s) => s.kind === kind && s.place === place) as Step;
  const without = (...gone: readonly Step[]) => steps.filter((s) => !gone.includes(s));
  const check = (arranged: readonly Step[]) => checkCourse(anatomy, read, arranged);
  return { steps, find, without, check };
}

describe('checking a rearranged course', () => {
  it('offers to put back the one step that was moved too early', () => {
    const { find, without, check } = course();
    const knee = find('drain', 'knee-outer.left');
    const rest = without(knee);
    const at = rest.indexOf(find('drain', 'thigh-upper-outer.left')) + 1;
    const arranged = [...rest.slice(0, at), knee, ...rest.slice(at)];
    const [violation, ...others] = check(arranged);
    expect(others).toEqual([]);
    expect(violation).toMatchObject({ step: knee.id, rule: 'near-before-far', severity: 'error' });
    expect(violation?.text).toContain('still full, so fluid would meet it');
    expect(check(applyFix(arranged, violation?.fix ?? { remove: '' }))).toEqual([]);
  });

  it('blames the clearing that came too late, not the many steps that wait for it', () => {
    const { find, without, check } = course();
    const armpit = find('clear', 'axillary.left');
    const arranged = [...without(armpit).slice(0, 20), armpit, ...without(armpit).slice(20)];
    const violations = check(arranged);
    expect(new Set(violations.map((v) => v.step))).toEqual(new Set([armpit.id]));
    expect(violations.map((v) => v.rule)).toContain('basin-before-skin');
    expect(violations[0]?.text).toContain('Too late');
  });

  it('wants the sound side first, as advice', () => {
    const { find, without, check } = course();
    const [groin, armpit] = [find('clear', 'inguinal.right'), find('clear', 'axillary.left')];
    const rest = without(groin);
    const at = rest.indexOf(armpit) + 1;
    const violations = check([...rest.slice(0, at), groin, ...rest.slice(at)]);
    expect(violations.map((v) => [v.rule, v.severity])).toEqual([['sound-side-first', 'warning']]);
  });

  it('speaks of several nodes as several, whatever is put first', () => {
    const { steps, check } = course();
    const told = [steps.toReversed(), [...steps.slice(9), ...steps.slice(0, 9)]].flatMap((arranged) =>
      check(arranged).map(({ text }) => text),
    );
    expect(told.length).toBeGreaterThan(10);
    expect(told.filter((text) => /nodes is|toes is|(shin|cap|collarbone) are not open/.test(text))).toEqual([]);
  });

  it('wants breathing before a groin', () => {
    const { steps, find, without, check } = course();
    const breath = steps.find((s) => s.kind === 'breathe') as Step;
    const rest = without(breath);
    const at = rest.indexOf(find('clear', 'inguinal.right')) + 1;
    const rules = check([...rest.slice(0, at), breath, ...rest.slice(at)]).map((v) => v.rule);
    expect(rules).toEqual(['deep-before-lower']);
  });

  it('says what a course lacks', () => {
    const { steps, find, without, check } = course({
      findings: [...groinGone, { id: 'thickened', regions: ['ankle-inner.left'] }],
    });
    const rules = (arranged: readonly Step[]) => check(arranged).map((v) => v.rule);
    expect(rules(without(find('soften', 'ankle-inner.left')))).toEqual(['soften-thickened']);
    expect(rules(without(find('prepare', 'flank-upper.left')))).toContain('route-before-region');
    expect(rules(without(find('clear', 'terminus.right')))).toContain('start-at-terminus');
    expect(new Set(rules(steps.filter((s) => s.kind !== 'close')))).toEqual(new Set(['exit-not-closed']));
    expect(rules(without(find('close', 'axillary.left')))).toEqual(['exit-not-closed']);
    expect(rules(without(find('clear', 'inguinal.right')))).toContain('sound-side-first');
    expect(rules(without(find('drain', 'toes.left')))).toEqual(['focus-untouched']);
  });

  it('refuses weight on irradiated skin, wherever the step stands', () => {
    const { steps, check } = course({ findings: [...groinGone, { id: 'irradiated', regions: ['flank-lower.left'] }] });
    const pressed = steps.map((s) =>
      s.kind === 'prepare' && s.place === 'flank-lower.left' ? { ...s, pressure: 'light' as const } : s,
    );
    expect(check(pressed).map((v) => v.rule)).toEqual(['feather-on-irradiated']);
  });

  it('can only take out a stroke into a closed group', () => {
    const { steps, find, check } = course();
    const thigh = find('drain', 'thigh-upper-inner.left');
    const wrong = steps.map((s) => (s === thigh ? { ...s, toward: 'inguinal.left' } : s));
    expect(check(wrong)).toMatchObject([{ step: thigh.id, rule: 'no-blocked-target', fix: { remove: thigh.id } }]);
  });

  it('applies a fix to the start, and leaves a course as it is when the fix does not belong to it', () => {
    const list = [{ id: 'a' }, { id: 'b' }, { id: 'c' }];
    expect(applyFix(list, { move: 'c', after: null }).map((s) => s.id)).toEqual(['c', 'a', 'b']);
    expect(applyFix(list, { move: 'x', after: 'a' })).toBe(list);
    expect(applyFix(list, { move: 'a', after: 'x' })).toBe(list);
  });
});
