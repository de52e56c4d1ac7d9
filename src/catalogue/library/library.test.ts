import { describe, expect, it } from 'vitest';
import { LibraryFile } from '../../contracts/library';
import { lineWorkId } from '../../core/facial/line-work';
import { usualSeconds } from '../../core/library/protocol';
import { problemsOfLibrary, shippedLibrary } from './library';
import { purposes } from './purposes';

const { techniques, protocols } = shippedLibrary;

describe('the library that ships', () => {
  it('has every technique and protocol, each once', () => {
    expect([techniques.size, protocols.size]).toEqual([161, 32]);
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
    '%s takes its usual minutes at the usual repetitions',
    (_, protocol) => {
      const minutes = usualSeconds(protocol, techniques) / 60;
      expect(Math.abs(minutes - protocol.usualMinutes)).toBeLessThanOrEqual(2.5);
    },
  );
});

describe('what clients come for', () => {
  it('leads to protocols that ship, and to each of them', () => {
    const named = new Set(purposes.flatMap(({ protocols }) => protocols));
    named.delete(lineWorkId);
    expect([...named].filter((id) => !shippedLibrary.protocols.has(id))).toEqual([]);
    expect([...shippedLibrary.protocols.keys()].filter((id) => !named.has(id))).toEqual([]);
  });
});
