import { existsSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { pages } from '../../contracts/routes/pages';
import { chapterOf, chaptersWithPages } from './chapter-of';
import { guide } from './guide.data';

describe('the guide', () => {
  it('names each chapter once, and shows only pictures that there are', () => {
    const ids = guide.map(({ id }) => id);
    expect(new Set(ids).size).toBe(guide.length);
    for (const id of chaptersWithPages) expect(ids).toContain(id);
    for (const { picture } of guide)
      if (picture) expect(existsSync(`docs/screenshots/${picture}.png`), picture).toBe(true);
  });

  it('has a chapter for every page on which people work', () => {
    const worked = pages.filter(({ who }) => ['assistant', 'therapist', 'owner'].includes(who));
    const stages = ['ask', 'measure', 'plan', 'prepare', 'table', 'close', 'home'];
    const named = worked.flatMap(({ path }) =>
      path === '/visits/{id}/{view}'
        ? stages.map((stage) => `/visits/7/${stage}`)
        : path === '/bench/{name}'
          ? ['oils', 'bottles', 'stones', 'devices'].map((name) => `/bench/${name}`)
          : [path.replace('{id}', '7').replace('{visit}', '7')],
    );
    const strangers = named.filter(
      (path) => path !== '/' && !path.startsWith('/tablet') && path !== '/guide' && chapterOf(path) === 'day',
    );
    expect(strangers).toEqual([]);
  });

  it('opens where one stands', () => {
    expect(chapterOf('/')).toBe('day');
    expect(chapterOf('/clients/12')).toBe('clients');
    expect(chapterOf('/clients/12/progress')).toBe('progress');
    expect(chapterOf('/visits/3/table')).toBe('table');
    expect(chapterOf('/nowhere')).toBe('day');
  });
});
