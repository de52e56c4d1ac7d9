import { describe, expect, it } from 'vitest';
import { regionNames } from '../library/library';
import { homeGroups, homePlaces } from './home-places';

describe('what a client is told at a place', () => {
  it('is of a region of the body map, once, with a hand and a movement', () => {
    for (const [name, { hand, how }] of homePlaces) {
      expect(regionNames.has(name), name).toBe(true);
      expect(hand, name).toMatch(/\.$/);
      expect(how, name).toMatch(/[.:]$/);
    }
    expect(homePlaces.size).toBe(75);
  });

  it('says something else for each way round, never the same twice', () => {
    for (const [name, { how, byRoute = {} }] of homePlaces) {
      const told = [how, ...Object.values(byRoute)];
      expect(new Set(told).size, name).toBe(told.length);
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
