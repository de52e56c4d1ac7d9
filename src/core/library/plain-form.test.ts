import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { plainProtocol, plainTechnique } from './plain-form';

const techniqueOf = (id: string) => {
  const technique = shippedLibrary.techniques.get(id);
  if (!technique) throw new Error(`no technique ${id}`);
  return plainTechnique(technique);
};

describe('a technique for other programs', () => {
  it('says yes or no where traits say it here, and keeps what else they say', () => {
    const breath = techniqueOf('belly-breath');
    expect(breath).toMatchObject({ intense: false, soothing: true, intraoral: false, perRegion: false });
    expect(breath.traits).toContain('breath-linked');
    expect(breath.cue).toContain('belly rises');
  });

  it('has everything that the table, the paper and the judgement read', () => {
    for (const technique of shippedLibrary.techniques.values()) {
      const plain = plainTechnique(technique);
      expect(plain.why && plain.never && plain.feel, technique.id).toBeTruthy();
      expect(plain.words.length, technique.id).toBeGreaterThan(0);
      expect(plain.judgedAs.length, technique.id).toBeGreaterThan(0);
      expect(plain.traits, technique.id).not.toContain('by-client');
      expect(plain.byClient, technique.id).toBe(technique.traits.includes('by-client'));
    }
  });
});

describe('a protocol for other programs', () => {
  it('has the same blocks and steps, in their order', () => {
    for (const protocol of shippedLibrary.protocols.values()) {
      const plain = plainProtocol(protocol);
      expect(plain.blocks.map(({ id }) => id)).toEqual(protocol.blocks.map(({ id }) => id));
      expect(plain.blocks.map(({ steps }) => steps)).toEqual(protocol.blocks.map(({ steps }) => steps));
    }
  });

  it('says what belongs to the short form, and what may be left out', () => {
    const blocks = [...shippedLibrary.protocols.values()].flatMap((protocol) => plainProtocol(protocol).blocks);
    expect(blocks.filter(({ shortForm }) => shortForm).length).toBeGreaterThan(0);
    expect(blocks.filter(({ optional }) => optional).length).toBeGreaterThan(0);
    expect(blocks.every((block) => !('isShortForm' in block) && !('isOptional' in block))).toBe(true);
  });

  it('has every intense step soothed within its block, on the same region', () => {
    for (const protocol of shippedLibrary.protocols.values())
      for (const { steps, id } of plainProtocol(protocol).blocks)
        for (const [i, step] of steps.entries()) {
          if (!techniqueOf(step.technique).intense) continue;
          const later = steps.slice(i + 1).filter(({ technique }) => {
            const { soothing, direction } = techniqueOf(technique);
            return soothing || direction === 'towards-node';
          });
          const soothed = new Set(later.flatMap(({ regions }) => regions));
          expect(
            step.regions.filter((region) => !soothed.has(region)),
            `${protocol.id}, ${id}: ${step.technique}`,
          ).toEqual([]);
        }
  });
});
