import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { trainingBooks as books } from '../../catalogue/training';
import { conditionInWords, placeInWords, spanInWords } from './case-words';
import { questionOf } from './drills';

describe('a case in plain speech', () => {
  it('names places as the map does', () => {
    expect(placeInWords(anatomy, 'chest-upper.left')).toBe('left upper chest');
    expect(placeInWords(anatomy, 'axillary.right')).toBe('right armpit nodes');
  });

  it.each([
    [1, '1 day'],
    [13, '13 days'],
    [21, '3 weeks'],
    [99, '14 weeks'],
    [316, '10 months'],
    [2009, '5 years'],
  ])('says %i days as people do: %s', (days, words) => {
    expect(spanInWords(days)).toBe(words);
  });

  it('tells a condition with where it is and how long ago, and leaves abbreviations as they are', () => {
    expect(conditionInWords(anatomy, { label: 'Numb places', regions: ['chest-upper.left'], daysAgo: 13 })).toBe(
      'numb places at the left upper chest, 13 days ago',
    );
    expect(conditionInWords(anatomy, { label: 'G6PD deficiency' })).toBe('G6PD deficiency');
    expect(conditionInWords(anatomy, { label: 'Weak side of the face', side: 'right' })).toBe(
      'weak side of the face on the right',
    );
  });

  it('asks nobody “yes” to a question that wants more than yes, and shows no machine’s date', () => {
    for (let seed = 0; seed < 60; seed += 1) {
      const { words } = questionOf(books, { kind: 'screen', level: 3, seed }).question as { readonly words: string };
      expect(words).toMatch(/^A client(?: of \d+ years)?\. Known: [^?]+\. What may be done today\?$/);
      expect(words).not.toMatch(/\d{4}-\d\d/);
    }
  });
});
