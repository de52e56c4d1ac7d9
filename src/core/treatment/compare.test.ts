import type { Minutes } from '../quantities';
import { describe, expect, it } from 'vitest';
import { differencesFrom, type GivenTreatment } from './compare';

const block = (key: string, steps: readonly (readonly [string, number])[] = []) => ({
  key,
  name: key,
  steps: steps.map(([title, repetitions]) => ({ key: title, title, repetitions })),
});
const input = (minutes: Minutes, ...blocks: GivenTreatment['blocks']): GivenTreatment => ({ minutes, blocks });

describe('as last time, but', () => {
  it('says nothing when all is the same', () => {
    const one = input(60, block('neck', [['knead', 3]]), block('chin'));
    expect(differencesFrom(one, one)).toEqual([]);
  });

  it('names minutes, parts that came and went, and another order', () => {
    expect(
      differencesFrom(
        input(60, block('neck'), block('chin'), block('eyes')),
        input(45, block('chin'), block('neck'), block('lips')),
      ),
    ).toEqual(['45 minutes instead of 60.', 'With lips.', 'Without eyes.', '“chin” comes before “neck”.']);
  });

  it('names steps and repetitions within a part', () => {
    expect(
      differencesFrom(
        input(
          60,
          block('jaw', [
            ['knead', 3],
            ['press', 3],
          ]),
        ),
        input(
          60,
          block('jaw', [
            ['knead', 5],
            ['stroke', 2],
          ]),
        ),
      ),
    ).toEqual(['In “jaw”: with stroke; without press; knead 3 → 5 ×.']);
  });

  it('counts what goes beyond four names', () => {
    const many = input(60, ...['a', 'b', 'c', 'd', 'e', 'f'].map((key) => block(key)));
    expect(differencesFrom(input(60), many)).toEqual(['With a, b, c, d and 2 more.']);
  });
});
