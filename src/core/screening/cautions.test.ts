import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import { placesInWords } from '../visit/words';
import { cautionsOf } from './cautions';
import { readScreening, type ScreeningRequest } from './read-request';
import { screen } from './screen';

function cautions(conditions: ScreeningRequest['conditions'], age = 50): readonly string[] {
  const read = readScreening(screeningBook, {
    visitDate: '2026-11-25',
    age,
    conditions,
    qualifications: screeningBook.qualifications.map(({ id }) => id),
  });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return cautionsOf(screen(screeningBook, read.value), {
    places: (places) => placesInWords(anatomy, places),
    oilGroup: (id) => vocabulary.oilGroups[id]?.label ?? id,
  }).map(({ words }) => words);
}

describe('cautions at a glance', () => {
  it('are none for a well client', () => {
    expect(cautions([])).toEqual([]);
  });

  it('say that nothing is done today', () => {
    expect(cautions([{ id: 'fever' }])[0]).toBe('no work today');
  });

  it('keep heat and firm hands off the limb of removed nodes, and nothing into them', () => {
    const words = cautions([{ id: 'nodes-removed-axillary', side: 'left', date: '2022-01-10' }]);
    expect(words).toContain('no heat on left arm and its quarter of the trunk');
    expect(words).toContain('only light on left arm and its quarter of the trunk, never into closed nodes');
  });

  it('name the place that is kept off, once, and not again for heat', () => {
    const words = cautions([{ id: 'open-wound', regions: ['shin-lower.left'] }]);
    expect(words[0]).toBe('keep off left lower shin');
    expect(words.filter((line) => line.startsWith('no heat on'))).toEqual([]);
  });

  it('say how to lie, what to leave out of blends, and what to have at hand', () => {
    const pregnant = cautions([{ id: 'pregnancy-3' }]);
    expect(pregnant).toEqual(expect.arrayContaining(['not face down', 'not flat on the back']));
    expect(pregnant.some((line) => line.startsWith('oils left out: '))).toBe(true);
    expect(cautions([{ id: 'latex-allergy' }])).toContain('no latex');
    expect(cautions([], 15)).toContain('guardian signs and stays');
  });

  it('never name a disease', () => {
    const words = cautions([{ id: 'cancer-past' }, { id: 'immune-weak' }, { id: 'osteoporosis' }]).join(' ');
    expect(words).not.toMatch(/cancer|immun|osteopor/i);
  });
});
