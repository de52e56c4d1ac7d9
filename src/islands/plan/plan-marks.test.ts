import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import type { PlacedFinding } from '../../contracts/people-views';
import type { Finding } from '../../core/drainage/finding';
import { planOf } from '../../core/drainage/fixtures';
import { marksOf } from '../body-marks';
import { planMarks } from './plan-marks';

const onRecord: readonly Finding[] = [
  { id: 'nodes-removed-inguinal', side: 'left' },
  { id: 'open-wound', regions: ['shin-lower.left'] },
  { id: 'scar', crosses: [['abdomen-lower.left', 'abdomen-upper.left']] },
  { id: 'port', regions: ['chest-upper.right'] },
];
const findings = onRecord.map((drainage, index): PlacedFinding => ({
  ...drainage,
  key: index + 1,
  label: drainage.id,
  words: drainage.id,
  locatable: 'region',
  sinceOn: null,
  note: '',
  isUnsure: false,
  source: 'therapist',
  answers: {},
  clearance: null,
  drainage,
}));
const plan = planOf(anatomy, ['leg.left'], { findings: onRecord });
const marks = planMarks(findings, plan, plan.steps, undefined, new Set());

describe('findings on the body', () => {
  it('close groups, keep off wounds and put a sign where each lies', () => {
    const { nodes, regions, signs } = marksOf(findings);
    expect(nodes.get('inguinal.left')).toBe('closed');
    expect(regions.get('shin-lower.left')).toMatchObject({ tone: 'closed' });
    expect(signs.map((sign) => sign.kind).sort()).toEqual(['port', 'scar', 'wound']);
  });
});

describe('a plan on the body', () => {
  it('marks what is drained, prepared, opened and closed', () => {
    expect(marks.regions.get('thigh-upper-inner.left')?.tone).toBe('drain');
    expect(marks.regions.get('flank-upper.left')?.tone).toBe('prepare');
    expect(marks.regions.get('shin-lower.left')?.tone).toBe('closed');
    expect([marks.nodes.get('axillary.left'), marks.nodes.get('inguinal.left')]).toEqual(['to clear', 'closed']);
  });

  it('draws a way for each exit and the chosen stroke on top', () => {
    expect(marks.routes.map((route) => route.key)).toEqual(['exit axillary.left', 'exit inguinal.right']);
    const step = plan.steps.find((s) => s.kind === 'carry');
    const chosen = planMarks(findings, plan, plan.steps, step, new Set()).routes.at(-1);
    expect(chosen).toMatchObject({ isActive: true, path: [step?.place, ...(step?.via ?? []), step?.toward] });
  });

  it('numbers each place once, in the order of the course, and shows faults', () => {
    const places = marks.pebbles.map((pebble) => pebble.place);
    expect(new Set(places).size).toBe(places.length);
    const fault = planMarks(findings, plan, plan.steps, undefined, new Set(['s6'])).pebbles.find(
      (pebble) => pebble.key === 's6',
    );
    expect(fault).toMatchObject({ number: 6, state: 'fault' });
  });

  it('lets the chosen step’s number win its place', () => {
    const drain = plan.steps.find((s) => s.kind === 'drain' && s.place === 'toes.left');
    const chosen = planMarks(findings, plan, plan.steps, drain, new Set());
    expect(chosen.pebbles.at(-1)).toMatchObject({ key: drain?.id, isSelected: true });
    expect(chosen.regions.get('toes.left')?.tone).toBe('active');
  });
});
