import { describe, expect, it } from 'vitest';
import {
  clothWords,
  detailsOf,
  isCold,
  knobs,
  startingSetting,
  thicknessMmOf,
  titleOf,
  warmedBy,
} from './stone-setting';

const start = startingSetting(null);
const turned = (letter: string, times = 1) => {
  const knob = knobs.find((one) => one.letter === letter);
  if (!knob) throw new Error(`no knob for ${letter}`);
  return Array.from({ length: times }).reduce<typeof start>((now) => knob.turn(now), start);
};

describe('what is looked at on the stone bench', () => {
  it('starts with a palm stone at rest on a cloth, or as warm as the client may have it', () => {
    expect(titleOf(start)).toBe('Palm stone at rest, from 52°');
    expect(detailsOf(start)).toBe('basalt · one cloth · normal skin');
  });

  it('goes by degrees and stays between ice and the hottest bath', () => {
    expect(warmedBy(start, -1).startC).toBe(51);
    expect(warmedBy(start, 100).startC).toBe(60);
    expect(isCold(warmedBy(start, -100))).toBe(true);
    expect(warmedBy(start, -100).startC).toBe(0);
  });

  it('has a letter of its own for each knob', () => {
    expect(new Set(knobs.map(({ letter }) => letter)).size).toBe(knobs.length);
  });

  it.each(knobs.map((knob) => [knob.tells, knob] as const))('comes round again: %s', (_, { turn, shows }) => {
    let now = turn(start);
    expect(shows(now)).not.toBe(shows(start));
    for (let i = 0; shows(now) !== shows(start) && i < 20; i += 1) now = turn(now);
    expect(shows(now)).toBe(shows(start));
  });

  it('counts cloths up to three', () => {
    expect([0, 1, 2, 3].map((times) => clothWords(turned('c', times)))).toEqual([
      ...['one cloth', '2 cloths', '3 cloths', 'no cloth'],
    ]);
  });

  it('lets go of a stone of the house when size or material change', () => {
    const own = { ...start, stone: { id: 4, thicknessMm: 31 } };
    expect(thicknessMmOf(own)).toBe(31);
    for (const letter of ['s', 'm']) {
      const now = knobs.find((knob) => knob.letter === letter)?.turn(own);
      expect(now?.stone).toBeNull();
    }
  });

  it('tells a gliding stone by its turning, not by its cloth', () => {
    expect(detailsOf(turned('g'))).toBe('basalt · turned once · normal skin');
  });
});
