import { describe, expect, it } from 'vitest';
import { findChapters } from './find-chapters';

const chapters = [
  { id: 'day', title: 'The day', text: 'Stones have to warm before a visit.' },
  { id: 'stones', title: 'Hot and cool stones', text: 'How warm the bath has to be.' },
  { id: 'table', title: 'At the table', text: 'A foot switch goes on.' },
];
const found = (typed: string) => findChapters(chapters, typed).map(({ id }) => id);

describe('finding in the guide', () => {
  it('gives all chapters in their order for nothing typed', () => {
    expect(found('')).toEqual(['day', 'stones', 'table']);
    expect(found(' , ')).toEqual(['day', 'stones', 'table']);
  });

  it('puts a chapter of that name before one that mentions it', () => {
    expect(found('stones')).toEqual(['stones', 'day']);
  });

  it('forgives a slip, and takes the beginning of a word', () => {
    expect(found('fot')).toEqual([]);
    expect(found('swicth')).toEqual(['table']);
    expect(found('bat')).toEqual(['stones']);
  });

  it('wants every word somewhere', () => {
    expect(found('warm visit')).toEqual(['day']);
    expect(found('warm elephant')).toEqual([]);
  });
});
