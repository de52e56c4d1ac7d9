import { describe, expect, it } from 'vitest';
import type { OfferedProtocol } from '../../contracts/treatment-views';
import { minutesOf, withoutBlocks, withoutProtocol, withPart, withProtocol } from './chosen';

const offered: OfferedProtocol = {
  id: 'oil',
  name: 'Oil',
  about: '',
  modality: 'Massage',
  school: '',
  minutes: 60,
  isPlanned: false,
  hasHeat: false,
  parts: [
    { id: 'leg', name: 'leg', minutes: 20 },
    { id: 'foot', name: 'foot', minutes: 10 },
    { id: 'belly', name: 'belly', minutes: 5 },
  ],
};

describe('what is chosen for a visit', () => {
  it('gives each choice an id of its own, and none twice', () => {
    const two = withProtocol(withProtocol([], 'oil'), 'brush');
    expect(two).toEqual([
      { id: 'c1', protocol: 'oil' },
      { id: 'c2', protocol: 'brush' },
    ]);
    expect(withProtocol(two, 'oil')).toBe(two);
    expect(withProtocol(withoutProtocol(two, 'oil'), 'stones').map(({ id }) => id)).toEqual(['c2', 'c1']);
  });

  it('names parts only while some are left out, and keeps at least one', () => {
    const whole = withProtocol([], 'oil');
    const some = withPart(whole, offered, 'belly', false);
    expect(some[0]?.blocks).toEqual(['leg', 'foot']);
    expect(withPart(some, offered, 'belly', true)).toEqual(whole);
    const one = withPart(some, offered, 'foot', false);
    expect(withPart(one, offered, 'leg', false)).toEqual(one);
    expect(minutesOf(some, [offered])).toBe(30);
    expect(minutesOf(whole, [offered])).toBe(60);
  });

  it('takes planned blocks out again', () => {
    const planned = ['c1/leg', 'c1/foot', 'c2/all'];
    const choices = withProtocol(withProtocol([], 'oil'), 'brush');
    expect(withoutBlocks(choices, ['c1/foot'], planned)).toEqual([
      { id: 'c1', protocol: 'oil', blocks: ['leg'] },
      { id: 'c2', protocol: 'brush' },
    ]);
    expect(withoutBlocks(choices, ['c2/all'], planned).map(({ id }) => id)).toEqual(['c1']);
  });
});
