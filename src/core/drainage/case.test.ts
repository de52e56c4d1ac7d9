import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { readCase } from './case';
import type { Finding } from './finding';
import { makeCase, type Wish } from './fixtures';

const read = (focus: readonly string[], wish: Wish = {}) => readCase(anatomy, makeCase(focus, wish));
const errors = (focus: readonly string[], wish: Wish = {}) => {
  const result = read(focus, wish);
  return result.ok ? [] : result.errors;
};
const withFinding = (finding: Finding) => errors(['face'], { findings: [finding] }).map((e) => e.path);

describe('reading a case', () => {
  it('opens areas into territories, each once and in the order of the body', () => {
    const result = read(['calf-upper.left', 'leg.left', 'leg.left']);
    if (!result.ok) throw new Error('refused');
    expect(result.value.territories).toHaveLength(21);
    expect(result.value.territories[0]).toBe('buttock.left');
  });

  it('tells all that is wrong at once', () => {
    const found = errors(['tail.left', 'leg'], { minutes: -5, findings: [{ id: 'port' }, { id: 'scar' }] });
    expect(found.map((e) => e.path)).toEqual([
      'focus.0',
      'focus.1',
      'minutes',
      'findings.0.regions',
      'findings.1.crosses',
    ]);
  });

  it('explains that a node group is not skin', () => {
    expect(errors(['axillary.left'])[0]?.message).toContain('node group');
    expect(withFinding({ id: 'thickened', regions: ['axillary.left'] })).toEqual(['findings.0.regions.0']);
    expect(withFinding({ id: 'irradiated', regions: ['axillary.left'] })).toEqual([]);
  });

  it('wants two different known places for a scar', () => {
    expect(withFinding({ id: 'scar', crosses: [['pubic.left', 'pubic.left']] })).toEqual(['findings.0.crosses.0']);
    expect(withFinding({ id: 'scar', crosses: [['pubic.left', 'moon.left']] })).toEqual(['findings.0.crosses.0.1']);
    expect(withFinding({ id: 'scar', crosses: [['pubic.left', 'pubic.right', 'buttock.left']] })).toEqual([
      'findings.0.crosses.0',
    ]);
  });

  it('wants a side for nodes', () => {
    expect(withFinding({ id: 'nodes-sentinel-neck' })).toEqual(['findings.0.side']);
    expect(withFinding({ id: 'nodes-removed-pelvic', side: 'both' })).toEqual([]);
  });

  it('does not believe that a group was removed and only sampled', () => {
    const contradiction: readonly Finding[] = [
      { id: 'nodes-sentinel-inguinal', side: 'both' },
      { id: 'nodes-removed-inguinal', side: 'right' },
    ];
    expect(errors(['face'], { findings: contradiction }).map((e) => e.path)).toEqual(['findings.0']);
    const oneEach: readonly Finding[] = [
      { id: 'nodes-sentinel-inguinal', side: 'left' },
      { id: 'nodes-removed-inguinal', side: 'right' },
    ];
    expect(errors(['face'], { findings: oneEach })).toEqual([]);
  });

  it('takes visits from one minute to eight hours', () => {
    expect([0.5, 1, 480, 480.5, Infinity, NaN].map((minutes) => errors(['face'], { minutes }).length)).toEqual([
      1, 0, 0, 1, 1, 1,
    ]);
  });
});
