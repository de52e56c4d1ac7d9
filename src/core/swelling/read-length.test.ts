import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkPositions, isSpacingWide, parsePositions } from './protocol';
import { readLength } from './read-length';

describe('a length as it is typed', () => {
  it.each([
    ['34.5', 34.5, undefined],
    ['34,5', 34.5, undefined],
    ['34,5 cm', 34.5, 'cm'],
    ['34.5CM', 34.5, 'cm'],
    ['13.5 in', 13.5, 'in'],
    ['13.5"', 13.5, 'in'],
    ['13.5″', 13.5, 'in'],
    ['13 inches', 13, 'in'],
    [' 34\u202f cm ', 34, 'cm'],
    ['.5', 0.5, undefined],
    ['34.', 34, undefined],
  ] as const)('“%s”', (text, value, unit) => {
    expect(readLength(text)).toEqual({ kind: 'length', value, unit });
  });

  it('is nothing where nothing was typed', () => {
    for (const text of ['', '  ', '\u00a0']) expect(readLength(text)).toEqual({ kind: 'empty' });
  });

  it.each(['thirty', '1.234,5', '1,234.5', '34 mm', '-3', '3 4', '34cmx'])('“%s” cannot be read', (text) => {
    expect(readLength(text)).toEqual({ kind: 'unreadable' });
  });

  it('of nought is a slip, not a length', () => {
    for (const text of ['0', '0.0', '0,0 cm']) expect(readLength(text)).toEqual({ kind: 'zero' });
  });

  it('is read back as it was written, with a point or a comma', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), fc.constantFrom('.', ','), (hundredths, mark) => {
        const text = (hundredths / 100).toFixed(2).replace('.', mark);
        expect(readLength(`${text} cm`)).toEqual({ kind: 'length', value: hundredths / 100, unit: 'cm' });
      }),
    );
  });
});

describe('points of a protocol', () => {
  it('are three to forty, rising, a centimetre apart', () => {
    expect(checkPositions([0, 4, 8])).toEqual({ ok: true, value: [0, 4, 8] });
    const messages = (points: readonly number[]) => {
      const checked = checkPositions(points);
      return checked.ok ? [] : checked.errors.map(({ message }) => message);
    };
    expect(messages([0, 4])).toEqual(['Give at least 3 points.']);
    expect(messages(Array.from({ length: 41 }, (_, i) => 2 * i))).toEqual(['Give at most 40 points.']);
    expect(messages([0, 8, 4])).toEqual([expect.stringContaining('4 cm does not lie above 8 cm')]);
    expect(messages([0, 4, 4.5])).toEqual([expect.stringContaining('less than 1 cm apart')]);
    expect(messages([0, 60, 130])).toEqual([expect.stringContaining('between 0 and 120')]);
  });

  it('are typed with spaces, commas behind numbers or semicolons; a comma within one is its point', () => {
    expect(parsePositions('0, 5 12; 20')).toEqual([0, 5, 12, 20]);
    expect(parsePositions('0 4,5 9')).toEqual([0, 4.5, 9]);
    expect(parsePositions('')).toBeUndefined();
    expect(parsePositions('0 x 9')).toBeUndefined();
  });

  it('far apart make a volume less certain', () => {
    expect(isSpacingWide([0, 10, 20])).toBe(false);
    expect(isSpacingWide([0, 10, 21])).toBe(true);
  });
});
