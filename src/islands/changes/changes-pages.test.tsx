import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { ChangeView } from '../../contracts/change-views';
import { ChangesOfVisit } from './ChangesOfVisit';
import { ChangesOverVisits } from './ChangesOverVisits';

type At = ChangeView['visits'][number];
const at = (change: Partial<At> = {}): At => ({
  ...{ visitId: 1, day: '4 May 2026', before: null, after: null, change: null },
  ...{ isBeyond: null, isBetter: null, heldPercent: null },
  ...change,
});
const gained = at({ before: 45, after: 60, change: 15, isBeyond: true, isBetter: true, heldPercent: 50 });
const figure = (key: string, name: string, visits: readonly At[], more: Partial<ChangeView> = {}): ChangeView => ({
  ...{ key, name, unit: '°', limit: 10, visits },
  ...more,
});
const neck = figure('neck-turn-left', 'neck turns left', [gained]);
const point = (i: number) =>
  figure(`face-left ${i}`, `distance ${i}, left`, [at({ before: 11, after: 10.2, change: -0.8 })], {
    ...{ unit: 'cm', limit: 0.5 },
    isDetail: true,
  });

describe('before and after at one visit', () => {
  const page = (...changes: readonly ChangeView[]) => renderToStaticMarkup(<ChangesOfVisit changes={changes} />);

  it('says from where to where, and whether that is more than measuring may err', () => {
    expect(page(neck)).toContain('45° → 60°');
    expect(page(neck)).toContain('better, beyond measuring error');
    expect(page(neck)).toContain('data-better="true"');
  });

  it('draws the neck as a fan, with its figures in words', () => {
    expect(page(neck)).toContain('Neck turns: left 45° before, 60° after; right – before, – after');
  });

  it('folds the points of the face under one line', () => {
    const folded = page(neck, point(1), point(2));
    expect(folded).toContain('The face point by point (2)');
    expect(folded.indexOf('<details')).toBeLessThan(folded.indexOf('distance 1, left'));
    expect(page(neck)).not.toContain('<details');
  });

  it('names what was taken only once, and colours nothing then', () => {
    const once = page(figure('mouth', 'mouth opens', [at({ before: 38 })], { unit: 'mm' }));
    expect(once).toContain('38 mm before; not taken after yet');
    expect(once).not.toContain('data-better');
  });

  it('is nothing of nothing', () => expect(page()).toBe(''));
});

describe('before and after over the visits', () => {
  const page = (...changes: readonly ChangeView[]) => renderToStaticMarkup(<ChangesOverVisits changes={changes} />);

  it('says what was gained last, and what of it held', () => {
    const twice = figure('neck-turn-left', 'neck turns left', [gained, at({ ...gained, visitId: 2, before: 52 })]);
    const table = page(twice);
    expect(table).toContain('+15°');
    expect(table).toContain('50 % (2 visits)');
    expect(table).toContain('Before each visit: 45°, 52°');
  });

  it('counts steps that have names, instead of plus and minus', () => {
    const chin = figure(
      'chin',
      'chin at rest',
      [at({ before: 0, after: 1, change: 1, isBeyond: true, isBetter: true })],
      {
        ...{ unit: 'grade', limit: 1 },
        steps: ['off to the left', 'in the middle', 'off to the right'],
      },
    );
    expect(page(chin)).toContain('off to the left → in the middle');
    expect(page(chin)).toContain('1 step');
  });

  it.each([
    [-20, 'lost again'],
    [0, 'lost again'],
    [130, 'all, and more'],
    [64, '64 % (1 visit)'],
  ])('tells %d %% held as %s', (heldPercent, words) => {
    expect(page(figure('x', 'x', [at({ ...gained, heldPercent })]))).toContain(words);
  });

  it('keeps details in a table of their own', () => {
    const both = page(neck, point(1));
    expect(both.match(/<table/g)).toHaveLength(2);
  });
});
