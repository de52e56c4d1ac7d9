import { describe, expect, it } from 'vitest';
import { readTable } from './read-table';

describe('the rows of a table', () => {
  it('are read by the delimiter that it has, quotes and lines within them kept', () => {
    expect([...readTable('a;b;c\r\n"x;1";"two\r\nlines";3\r\n4;5;6', '')]).toEqual([
      ['a', 'b', 'c'],
      ['x;1', 'two\r\nlines', '3'],
      ['4', '5', '6'],
    ]);
    expect([...readTable('a\tb\n1\t2', '')]).toEqual([
      ['a', 'b'],
      ['1', '2'],
    ]);
  });

  it('come whole over the seams of slices, quoted or not', () => {
    const long = 'x'.repeat(40_000);
    const rows = Array.from({ length: 9 }, (_, i) => `${i},"${long}\n${i}",end`);
    const read = [...readTable(`n,text,last\n${rows.join('\n')}`, ',')];
    expect(read).toHaveLength(10);
    expect(read.every((row) => row.length === 3)).toBe(true);
    expect(read[9]).toEqual(['8', `${long}\n8`, 'end']);
  });
});
