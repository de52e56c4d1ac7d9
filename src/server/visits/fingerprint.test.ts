import { describe, expect, it } from 'vitest';
import type { DrainageCase } from '../../core/drainage/case';
import { fingerprintOfCase } from './fingerprint';

const legs: DrainageCase = {
  focus: ['thigh.left'],
  purpose: 'swelling',
  findings: [{ id: 'nodes-removed-inguinal', side: 'left' }],
  school: { start: 'neck-first', hand: 'stretch', removedSide: 'reroute-only', exits: 2 },
  minutes: 45,
  fill: false,
  qualifications: ['lymph-basic'],
  screened: {
    drainage: { decision: 'modify', reasons: ['Light hands.'] },
    rerouting: { decision: 'ok', reasons: [] },
    keptOff: ['shin.left'],
    lighterAt: {},
  },
};

describe('the fingerprint of a case', () => {
  const known = fingerprintOfCase(legs);

  it('is the same for the same facts, in whichever order they stand and however they are worded', () => {
    const { focus, ...rest } = legs;
    const { screened } = legs;
    expect(fingerprintOfCase({ ...rest, focus })).toBe(known);
    expect(
      fingerprintOfCase({
        ...legs,
        ...(screened ? { screened: { ...screened, drainage: { decision: 'modify', reasons: ['Lighter.'] } } } : {}),
      }),
    ).toBe(known);
  });

  it.each<[string, Partial<DrainageCase>]>([
    ['a finding', { findings: [] }],
    ['the minutes', { minutes: 50 }],
    ['who works', { qualifications: [] }],
    ['a place that is kept off', { screened: { ...legs.screened, keptOff: [] } as DrainageCase['screened'] }],
  ])('is another one when %s changes', (_, change) => {
    expect(fingerprintOfCase({ ...legs, ...change })).not.toBe(known);
  });
});
