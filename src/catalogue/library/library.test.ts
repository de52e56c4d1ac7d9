import { describe, expect, it } from 'vitest';
import { LibraryFile } from '../../contracts/library';
import { lineWorkId } from '../../core/facial/line-work';
import { usualSeconds } from '../../core/library/protocol';
import { screeningBook } from '../screening/screening';
import { problemsOfLibrary, shippedLibrary } from './library';
import { purposes } from './purposes';

const { techniques, protocols } = shippedLibrary;

describe('the library that ships', () => {
  it('has every technique and protocol, each once', () => {
    expect([techniques.size, protocols.size]).toEqual([208, 34]);
  });

  it('keeps its own rules', () => {
    expect(problemsOfLibrary(shippedLibrary)).toEqual([]);
  });

  it('can be written as a file and read back', () => {
    const file = {
      format: 'velvet-stone-library',
      version: 1,
      techniques: [...techniques.values()],
      protocols: [...protocols.values()],
    };
    expect(LibraryFile.parse(JSON.parse(JSON.stringify(file)))).toEqual(file);
  });

  it.each([...protocols.values()].filter(({ source }) => source === 'steps').map((one) => [one.id, one] as const))(
    '%s takes no longer than its usual minutes, which hold greeting and waiting too',
    (_, protocol) => {
      const minutes = usualSeconds(protocol, techniques) / 60;
      expect(minutes).toBeLessThanOrEqual(protocol.usualMinutes * 1.3 + 1);
      expect(minutes).toBeGreaterThanOrEqual(protocol.usualMinutes / 2.1);
    },
  );

  it('judges techniques as kinds of work that screening knows, and says why, and what is never done', () => {
    for (const { id, judgedAs, why, never, feel } of techniques.values()) {
      expect(
        judgedAs.filter((kind) => !screeningBook.modalities.has(kind)),
        id,
      ).toEqual([]);
      expect([judgedAs.length > 0, why.length > 10, never.length > 10, feel.length > 10], id).toEqual(
        Array(4).fill(true),
      );
    }
  });

  it('pairs only blocks that a protocol has', () => {
    for (const { id, blocks, pairs = [] } of protocols.values()) {
      const known = new Set(blocks.map((block) => block.id));
      expect(
        pairs.flat().filter((name) => !known.has(name)),
        id,
      ).toEqual([]);
    }
  });
});

describe('what clients come for', () => {
  it('leads to protocols that ship, and to each of them', () => {
    const named = new Set(purposes.flatMap(({ protocols }) => protocols));
    named.delete(lineWorkId);
    expect([...named].filter((id) => !shippedLibrary.protocols.has(id))).toEqual([]);
    expect([...shippedLibrary.protocols.keys()].filter((id) => !named.has(id))).toEqual([]);
  });

  it('says what strokes along the spine are told as when they run from the skull down', () => {
    const alongSpine = [...shippedLibrary.techniques.values()].filter(
      ({ traits }) => traits.includes('beside-spine') || traits.includes('on-spine'),
    );
    for (const { id, cues, turnedCue } of alongSpine) {
      if (/\b(up|from the base|low to high|bottom)\b/i.test(cues[0] ?? '')) expect(turnedCue, id).toBeDefined();
      expect(turnedCue ?? '', id).not.toMatch(/\bup\b/i);
    }
  });
});
