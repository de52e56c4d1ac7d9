import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { gapsOfProtocol, gapsOfTechnique } from './gaps';
import type { Protocol } from './protocol';
import type { Technique } from './technique';

const technique = shippedLibrary.techniques.get('effleurage') as Technique;
const protocol = shippedLibrary.protocols.get('stones-leg-back') as Protocol;

describe('what an entry of a file does not say', () => {
  it('is nothing for all that ships', () => {
    for (const one of shippedLibrary.techniques.values()) expect(gapsOfTechnique(one), one.id).toEqual([]);
  });

  it('is named field by field', () => {
    expect(gapsOfTechnique({ ...technique, why: '', feel: '  ' })).toEqual(['why', 'feel']);
    expect(gapsOfTechnique({ ...technique, never: '', words: [] })).toEqual(['never', 'words']);
  });

  it('is the reason and the order of a protocol, where it is more than one part', () => {
    const { keepOrder: _, ...old } = protocol;
    const silent = old.blocks.map((block) => ({ ...block, steps: block.steps.map(({ why: __, ...step }) => step) }));
    expect(gapsOfProtocol({ ...old, blocks: silent })).toEqual(['why', 'order']);
    expect(gapsOfProtocol({ ...old, keepOrder: false, blocks: silent })).toEqual(['why']);
    expect(gapsOfProtocol({ ...old, source: 'planner', blocks: [] })).toEqual([]);
  });
});
