import { describe, expect, it } from 'vitest';
import { readRows } from './read-rows';

const rows = (text: string, hasHead = true) => [...readRows(text, { delimiter: ',', hasHead })];

describe('the rows of a table that hold something', () => {
  it('bear the numbers of the file, the head and empty lines counted', () => {
    expect(rows('a,b\n1,2\n\n , \n3,4')).toMatchObject([
      { row: 2, head: ['a', 'b'], cells: ['1', '2'] },
      { row: 5, head: ['a', 'b'], cells: ['3', '4'] },
    ]);
  });

  it('begin with the first where there is no head', () => {
    expect(rows('1,2\n3,4', false).map(({ row, head }) => [row, head])).toEqual([
      [1, []],
      [2, []],
    ]);
  });

  it('tell how far one has come, up to the end', () => {
    const text = 'a,b\n1,2\n3,4';
    const shares = rows(text).map(({ characters }) => characters / text.length);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares.at(-1)).toBeGreaterThan(0.9);
  });

  it('are none in an empty text', () => {
    expect(rows('')).toEqual([]);
    expect(rows('a,b')).toEqual([]);
  });
});
