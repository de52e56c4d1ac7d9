import { describe, expect, it } from 'vitest';
import { knownWith, shippedLibrary } from '../../catalogue/library/library';
import { problemsOfProtocol, problemsOfTechnique } from './check-library';
import { differencesBetween } from './differences';
import { type Protocol, type ProtocolBlock, protocolStepSeconds, usualSeconds } from './protocol';
import type { Technique } from './technique';

const of = (id: string): Technique => {
  const found = shippedLibrary.techniques.get(id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const sweep = of('lymph-sweep');
const known = knownWith(shippedLibrary.techniques);
const intense = [...shippedLibrary.techniques.values()].find(({ traits }) => traits.includes('intense'));
const soothing = [...shippedLibrary.techniques.values()].find(
  ({ traits, hands }) => traits.includes('soothing') && hands === 'any',
);

const block = (change: Partial<ProtocolBlock> = {}): ProtocolBlock => ({
  ...{ id: 'one', position: 'supine', hands: 'dry', therapist: 'left' },
  steps: [{ technique: 'lymph-sweep', regions: ['cheek'], side: 'both' }],
  ...change,
});
const protocol = (...blocks: readonly ProtocolBlock[]): Protocol => ({
  ...{ id: 'reed-face', name: 'Reed face', modality: 'facial-massage', school: 'any', usualMinutes: 20 },
  ...{ about: 'A short one.', source: 'steps' },
  blocks,
});
const paths = (one: Protocol) => problemsOfProtocol(one, known).map(({ path }) => path);

describe('a technique', () => {
  const faults = (change: Partial<Technique>) => problemsOfTechnique({ ...sweep, ...change }).map(({ path }) => path);

  it('of the library has no faults', () => {
    expect(faults({})).toEqual([]);
  });

  it('that drains is never firmer than light', () => {
    expect(faults({ pressure: 'medium' })).toEqual(['pressure']);
    expect(faults({ pressure: 'medium', family: 'petrissage' })).toEqual([]);
  });

  it('has repetitions in their order, time, a cue, and is not two things at once', () => {
    expect(faults({ repetitions: { min: 3, usual: 2, max: 9 } })).toEqual(['repetitions.usual']);
    expect(faults({ repetitions: { min: 0, usual: 2, max: 900 } })).toEqual(['repetitions.min', 'repetitions.max']);
    expect(faults({ secondsPerRepetition: 0 })).toEqual(['secondsPerRepetition']);
    expect(faults({ cues: [] })).toEqual(['cues']);
    expect(faults({ traits: ['intense', 'soothing'] })).toEqual(['traits']);
  });
});

describe('a protocol', () => {
  it('names what is there, with the place of what is not', () => {
    expect(paths(protocol(block()))).toEqual([]);
    const step = { technique: 'lymph-sweep', regions: ['cheek'], side: 'both' } as const;
    expect(paths(protocol(block({ steps: [{ ...step, technique: 'wand' }] })))).toEqual(['blocks.0.steps.0.technique']);
    expect(paths(protocol(block({ steps: [{ ...step, regions: ['cheek', 'tail'] }] })))).toEqual([
      'blocks.0.steps.0.regions.1',
    ]);
    expect(paths(protocol(block({ steps: [{ ...step, regions: [] }] })))).toEqual(['blocks.0.steps.0.regions']);
    expect(paths(protocol(block({ steps: [{ ...step, repetitions: 0 }] })))).toEqual(['blocks.0.steps.0.repetitions']);
    expect(paths({ ...protocol(block()), modality: 'juggling' })).toEqual(['modality']);
  });

  it('has blocks with names of their own, and steps in each', () => {
    expect(paths(protocol(block(), block()))).toEqual(['blocks.1.id']);
    expect(paths(protocol(block({ steps: [] })))).toEqual(['blocks.0.steps']);
    expect(paths(protocol())).toEqual(['blocks']);
  });

  it('waits for no block that is not there, and for none in a ring', () => {
    expect(paths(protocol(block({ after: ['two'] })))).toEqual(['blocks.0.after.0']);
    const ring = problemsOfProtocol(protocol(block({ after: ['two'] }), block({ id: 'two', after: ['one'] })), known);
    expect(ring).toHaveLength(1);
    expect(ring[0]?.path).toBe('blocks.0.after');
  });

  it('follows what is intense by something soothing on the same region, in the same block', () => {
    if (!intense || !soothing) throw new Error('none in the library');
    const hands =
      intense.hands === 'any' || intense.hands === 'none' ? 'dry' : (intense.hands as ProtocolBlock['hands']);
    const hard = { technique: intense.id, regions: ['cheek'], side: 'both' } as const;
    const soft = { technique: soothing.id, regions: ['cheek'], side: 'both' } as const;
    expect(paths(protocol(block({ hands, steps: [hard] })))).toContain('blocks.0.steps.0');
    expect(paths(protocol(block({ hands, steps: [hard, soft] })))).not.toContain('blocks.0.steps.0');
    expect(paths(protocol(block({ hands, steps: [soft, hard] })))).toContain('blocks.0.steps.1');
  });
});

describe('the time of a step', () => {
  it('grows with each side, and with each region where it is repeated there', () => {
    const once = protocolStepSeconds(sweep, { regions: ['cheek'], side: 'both' }, 5);
    expect(protocolStepSeconds(sweep, { regions: ['cheek'], side: 'each' }, 5)).toBeGreaterThan(once * 1.5);
    const perRegion = { ...sweep, isPerRegion: true };
    expect(protocolStepSeconds(perRegion, { regions: ['cheek', 'chin'], side: 'both' }, 5)).toBeGreaterThan(once * 1.5);
    expect(protocolStepSeconds(sweep, { regions: ['cheek'], side: 'both' }, 10)).toBeGreaterThan(once);
  });

  it('of a protocol is that of its steps at their usual repetitions', () => {
    const usual = protocolStepSeconds(sweep, { regions: ['cheek'], side: 'both' }, sweep.repetitions.usual);
    expect(usualSeconds(protocol(block(), block({ id: 'two' })), shippedLibrary.techniques)).toBeCloseTo(2 * usual, 9);
  });
});

describe('what differs between two versions', () => {
  it('is named field by field, lists of another length as wholes', () => {
    const before = { name: 'a', repetitions: { min: 1, usual: 2 }, cues: ['x', 'y'] };
    expect(differencesBetween(before, { ...before, name: 'b' })).toEqual([{ field: 'name', before: 'a', after: 'b' }]);
    expect(differencesBetween(before, { ...before, repetitions: { min: 1, usual: 3 } })).toEqual([
      { field: 'repetitions.usual', before: 2, after: 3 },
    ]);
    expect(differencesBetween(before, { ...before, cues: ['x', 'z'] }).map(({ field }) => field)).toEqual(['cues.1']);
    expect(differencesBetween(before, { ...before, cues: ['x'] }).map(({ field }) => field)).toEqual(['cues']);
    expect(differencesBetween(before, structuredClone(before))).toEqual([]);
  });
});
