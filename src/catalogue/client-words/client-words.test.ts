import { describe, expect, it } from 'vitest';
import { dateInWords, dayInWords, languageIds } from '../../core/language';
import { anatomy } from '../anatomy';
import { homeWordsOf } from '../homecare/homecare';
import { oilBook } from '../oils/oils';
import { gateRows } from '../screening/intake.data';
import { screeningBook } from '../screening/screening';
import { clientWordsOf } from './client-words';
import { intakeWordsOf } from './intake';
import { bottleWordsOf } from './bottle';
import { gatesDe } from './intake.de';
import { barePlaceDe, placeDe } from './places.de';

/** Every sentence of a table with its key; sentences that are made from values with some. */
function sentencesOf(table: unknown, at = ''): readonly (readonly [string, string])[] {
  if (typeof table === 'string') return [[at, table]];
  if (typeof table === 'function') {
    const values = /Name$/.test(at)
      ? ['axillary.left']
      : at.endsWith('.at')
        ? [['08:00']]
        : ['7', at.endsWith('tooOften') ? '2026-12-01' : '7', '7', '7'];
    const made: unknown = (table as (...values: readonly unknown[]) => unknown)(...values);
    return typeof made === 'string' ? [[at, made]] : [];
  }
  if (!table || typeof table !== 'object') return [];
  return Object.entries(table).flatMap(([key, value]) => sentencesOf(value, at === '' ? key : `${at}.${key}`));
}

/** Sentences that are the same in both: names, units and signs. */
const shared = new Set([
  'language',
  'languageName',
  'page.hello',
  'parts.hand',
  'oilName',
  'counts.times',
  'counts.hold',
  'page.pause',
]);
const english = /\b(the|and|with|your|you|please|not|for|from|until|when)\b/i;

describe('what clients read', () => {
  const asked = [...screeningBook.conditions.values()].filter(({ askAt }) => askAt.includes('intake'));

  it('has a question in every language for every condition of the intake, and none too many', () => {
    const others = languageIds.filter((id) => id !== 'en');
    for (const { id, otherAsks } of asked) expect(Object.keys(otherAsks ?? {}), id).toEqual(others);
    const known = new Set(asked.map(({ id }) => id));
    const spare = [...screeningBook.conditions.values()].filter(({ id, otherAsks }) => otherAsks && !known.has(id));
    expect(spare.map(({ id }) => id)).toEqual([]);
    expect(Object.keys(gatesDe).toSorted()).toEqual(gateRows.map(([group]) => group).toSorted());
  });

  it('ends every question as a question or with what to do', () => {
    for (const language of languageIds)
      for (const { id } of asked) expect(intakeWordsOf(language).question(id), id).toMatch(/[?.]$/);
  });

  it('names every place, oil and carrier in German, and none too many', () => {
    for (const id of [...anatomy.territories.keys(), ...anatomy.basins.keys()])
      expect(barePlaceDe(id), id).not.toBe(id.split('.')[0]);
    expect(placeDe('axillary.left')).toBe('Lymphknoten der Achsel links');
    const oils = [...oilBook.oils.values(), ...oilBook.carriers.values()];
    for (const { id, otherNames } of oils) expect(bottleWordsOf('de').oilName(id), id).toBe(otherNames.de);
  });

  it.each([
    ['the tablet, consent and reminders', clientWordsOf('en'), clientWordsOf('de')],
    ['bottles', bottleWordsOf('en'), bottleWordsOf('de')],
    ['home sheets', homeWordsOf('en'), homeWordsOf('de')],
  ])('says all of %s in both languages, nothing of one in the other', (_, en, de) => {
    // Lines of several places in one have a test of their own, and those of the chest are English only.
    const ours = sentencesOf(en).filter(([key]) => !key.startsWith('groups.'));
    const theirs = sentencesOf(de).filter(([key]) => !key.startsWith('groups.'));
    expect(theirs.map(([key]) => key)).toEqual(ours.map(([key]) => key));
    const own = new Map(ours);
    for (const [key, text] of theirs) {
      expect(text.trim(), key).not.toBe('');
      if (shared.has(key) || !/\p{L}{3,}/u.test(text.replace(/\{\w+\}/g, ''))) continue;
      expect(text, key).not.toBe(own.get(key));
      expect(text.match(english)?.[0], `${key}: ${text}`).toBeUndefined();
    }
  });

  it('writes days and figures as each language does', () => {
    expect(dayInWords('en', '2026-12-01')).toBe('Tuesday 1 December');
    expect(dayInWords('de', '2026-12-01')).toBe('Dienstag, 1. Dezember');
    expect(dateInWords('de', '2026-12-01')).toBe('1. Dezember 2026');
    expect(bottleWordsOf('en').percent(1.586)).toBe('1.59 %');
    expect(bottleWordsOf('de').percent(1.586)).toBe('1,59 %');
  });
});
