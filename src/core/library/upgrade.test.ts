import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { LibraryFile } from '../../contracts/library';
import { upgradeTechnique } from './upgrade';

const shipped = shippedLibrary.techniques.get('cheek-inside-knead');
const { judgedAs: _judgedAs, why: _why, never: _never, feel: _feel, words: _words, ...rest } = shipped ?? ({} as never);
const old = { ...rest, id: 'our-knead', traits: ['inside-the-mouth'] };

describe('a technique of before', () => {
  it('is judged by its family, and keeps what it said of itself', () => {
    expect(upgradeTechnique(old)).toMatchObject({ judgedAs: ['facial-intraoral'], traits: ['inside-mouth'], why: '' });
    expect(upgradeTechnique(shipped)).toBe(shipped);
  });

  it('can still be read from a file', () => {
    const file = { format: 'velvet-stone-library', version: 1, techniques: [old], protocols: [] };
    expect(LibraryFile.parse(file).techniques[0]?.judgedAs).toEqual(['facial-intraoral']);
  });

  it('is never taken for something without danger: stones are warm, scraping scrapes', () => {
    expect(upgradeTechnique({ ...old, family: 'stone-press', traits: [] })).toMatchObject({
      traits: ['heat', 'press-hold'],
    });
  });
});
