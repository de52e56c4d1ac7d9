import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { type DrainageCase, defaultSchool, readCase } from '../drainage/case';
import { flowOf } from './flow';
import { frameAt } from './frames';
import { flowGraph } from './model';
import { standingFlow, startOf } from './standing';

const leg: DrainageCase = {
  ...{ focus: ['leg.left'], purpose: 'swelling', findings: [], minutes: 45 },
  ...{ school: defaultSchool, fill: false, qualifications: [] },
};
const taped = {
  ...({ limb: 'leg', side: 'left' } as const),
  stretches: [{ fromCm: 8, toCm: 12, excessMl: 60 }],
};

describe('before the first stroke', () => {
  it('the focus is two thirds full, or holds what the tape found', () => {
    expect(startOf(anatomy, leg, null)?.['toes.left']).toBe(50);
    expect(startOf(anatomy, leg, taped)).toEqual({ 'calf-lower.left': 30, 'shin-lower.left': 30 });
    expect(startOf(anatomy, leg, { ...taped, stretches: [] })?.['toes.left']).toBe(50);
  });

  it('nothing is known of a case that cannot be read', () => {
    expect(startOf(anatomy, { ...leg, focus: ['moon.left'] }, null)).toBeUndefined();
  });

  it('it is drawn as the course that is followed begins', () => {
    const read = readCase(anatomy, leg);
    const start = startOf(anatomy, leg, null);
    if (!read.ok || !start) throw new Error('not read');
    const graph = flowGraph(anatomy, read.value.hindrances, read.value.findings);
    const followed = flowOf({ graph, start, steps: [], seconds: 60, every: 60 });
    const standing = standingFlow(start);
    expect(standing.startMl).toBeCloseTo(followed.startMl, 9);
    for (const place of Object.keys(followed.places))
      expect(frameAt(standing, 0).ml(place)).toBeCloseTo(frameAt(followed, 0).ml(place), 9);
  });
});
