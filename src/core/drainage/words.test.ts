import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { planOf } from './fixtures';
import { ruleBook } from './rules';
import { phasesOf, pressureInWords, repetitionsInWords, sideInWords, stepDirection, stepTitle } from './step-words';
import { clearingDirection } from './why';
import { formatCost, list, rejectionInWords, wayInWords } from './wording';
import { shortLabel, theLabel } from '../anatomy/place-labels';
import { capitalise } from '../wording/capitalise';

const plan = planOf(anatomy, ['leg.left', 'face'], {
  findings: [
    { id: 'nodes-removed-inguinal', side: 'left' },
    { id: 'thickened', regions: ['toes.left'] },
    { id: 'open-wound', regions: ['calf-lower.left'] },
    { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
  ],
  minutes: 90,
});
const step = (kind: string, place: string) => plan.steps.find((s) => s.kind === kind && s.place === place);

describe('words of a plan', () => {
  it('name places as a therapist does', () => {
    expect(shortLabel(anatomy, 'terminus.left')).toBe('left hollow above the collarbone');
    expect(shortLabel(anatomy, 'abdominal-deep.mid')).toBe('deep belly');
    expect(shortLabel(anatomy, 'wrist.right')).toBe('right wrist');
    expect(theLabel(anatomy, 'axillary.left')).toBe('the left armpit nodes');
    expect([sideInWords('wrist.right'), sideInWords('thoracic-duct.mid')]).toEqual(['client’s right', 'in the middle']);
  });

  it('join lists and costs', () => {
    expect([list([]), list(['a']), list(['a', 'b']), list(['a', 'b', 'c'])]).toEqual([
      '',
      'a',
      'a and b',
      'a, b and c',
    ]);
    expect([formatCost(5), formatCost(5.5), capitalise('left')]).toEqual(['5', '5.5', 'Left']);
    expect(wayInWords(anatomy, ['pubic.left', 'inguinal.left'])).toBe('straight there');
  });

  it('title every step of a plan, without brackets or ids', () => {
    for (const s of plan.steps) {
      const text = `${stepTitle(anatomy, s)} ${stepDirection(anatomy, s)} ${s.why} ${s.cautions.join(' ')}`;
      expect(text).not.toMatch(/\b[a-z-]+\.(left|right|mid)\b|undefined|\(|\[/);
    }
    expect(stepTitle(anatomy, { kind: 'carry', place: 'thigh-upper-outer.left', toward: 'axillary.left' })).toBe(
      'Carry on to the left armpit nodes',
    );
    expect(stepTitle(anatomy, { kind: 'soften', place: 'toes.left', toward: null })).toBe('Soften the left toes');
  });

  it('say how often and how hard', () => {
    expect(repetitionsInWords({ kind: 'drain', repetitions: 7, placements: 6 })).toBe('7 × 6');
    expect(repetitionsInWords({ kind: 'prepare', repetitions: 5, placements: 1 })).toBe('5 ×');
    expect(repetitionsInWords({ kind: 'carry', repetitions: 1, placements: 1 })).toBe('1 pass');
    expect(repetitionsInWords({ kind: 'breathe', repetitions: 10, placements: 1 })).toBe('10 ×');
    expect(
      ['feather', 'light', 'medium', 'firm'].map((p) => pressureInWords(p as 'feather').length).every((n) => n > 10),
    ).toBe(true);
  });

  it('group the course into phases, the last breathing with the close', () => {
    const phases = phasesOf(plan.steps);
    expect([phases[0], phases.at(-1)]).toEqual(['Open', 'Close']);
    expect([...new Set(phases)]).toEqual([
      'Open',
      'Prepare the way',
      'Soften',
      'Drain, near to far',
      'Return',
      'Close',
    ]);
  });

  it('warn where it matters', () => {
    expect(step('drain', 'thigh-upper-inner.left')?.cautions).toContain('Never towards the left groin nodes.');
    expect(step('drain', 'knee-front.left')?.cautions).toContain('Round the edges to the side, not over the kneecap.');
    expect(step('drain', 'toes.left')?.cautions).toContain('Along the two sides of each, not down the middle.');
    expect(step('drain', 'calf-upper.left')?.cautions.join(' ')).toContain('Keep off the open skin');
  });

  it('tell how each group is cleared', () => {
    for (const id of anatomy.basins.keys()) expect(clearingDirection(id).length, id).toBeGreaterThan(8);
  });

  it('explain every way of being rejected', () => {
    const why = (cause: Parameters<typeof rejectionInWords>[1]['cause'], to = 'axillary.right') =>
      rejectionInWords(anatomy, { to, cause, cost: 9, cheapest: 5 });
    expect(why('removed', 'inguinal.left')).toContain('knee crease');
    expect(why('irradiated')).toContain('irradiated');
    expect(why('wound')).toContain('wound');
    expect(why('unreachable')).toContain('No open skin');
    expect(why('too-dear')).toContain('12 is the most');
    expect(why('further')).toBe('Further than needed: about 9 hand’s widths against 5 for the nearest way out.');
    expect(why('other-side-in-focus')).toContain('their own side’s fluid');
  });

  it('have a sentence for every rule that a step names', () => {
    for (const s of plan.steps) for (const rule of s.rules) expect(ruleBook[rule], rule).toMatch(/^[A-Z].*\.$/);
  });
});
