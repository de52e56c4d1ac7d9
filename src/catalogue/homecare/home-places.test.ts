import { describe, expect, it } from 'vitest';
import { regionNames } from '../library/library';
import { homeGroups, homePlaces, homePlacesDe } from './home-places';

const languages = [
  ['English', homePlaces],
  ['German', homePlacesDe],
] as const;

describe.each(languages)('what a client is told at a place, in %s', (_, places) => {
  it('is of a region of the body map, once, with a hand and a movement', () => {
    for (const [name, { hand, how }] of places) {
      expect(regionNames.has(name), name).toBe(true);
      expect(hand, name).toMatch(/\.$/);
      expect(how, name).toMatch(/[.:]$/);
    }
    expect(places.size).toBe(75);
  });

  it('says something else for each way round, never the same twice', () => {
    for (const [name, { how, byRoute = {} }] of places) {
      const told = [how, ...Object.values(byRoute)];
      expect(new Set(told).size, name).toBe(told.length);
    }
  });
});

describe('a place in another language', () => {
  it('is told for the same ways round, and in its own words', () => {
    expect([...homePlacesDe.keys()]).toEqual([...homePlaces.keys()]);
    for (const [name, { how, byRoute = {} }] of homePlacesDe) {
      expect(Object.keys(byRoute), name).toEqual(Object.keys(homePlaces.get(name)?.byRoute ?? {}));
      expect([how, ...Object.values(byRoute)].join(' '), name).not.toMatch(/\b(the|and|your|from)\b/);
    }
  });
});

describe('lines of a sheet', () => {
  it.each(['leg', 'arm', 'chest'] as const)('are few for a %s, and each region stands in one', (sheet) => {
    const lines = homeGroups.filter((group) => group.sheet === sheet);
    expect(lines.length).toBeGreaterThanOrEqual(6);
    expect(lines.length).toBeLessThanOrEqual(14);
    for (const { regions, title } of lines)
      for (const region of regions) expect(regionNames.has(region), `${title}: ${region}`).toBe(true);
  });
});
