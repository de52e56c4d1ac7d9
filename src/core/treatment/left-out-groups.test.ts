import { describe, expect, it } from 'vitest';
import { byReason } from './left-out-groups';

const armpit = { why: 'Nodes removed: no stroke goes to the left armpit nodes.', instead: 'Skin stretch' };

describe('what is left out', () => {
  it('tells each reason once, with all that falls to it in its order', () => {
    const groups = byReason([
      { what: 'Left upper chest', ...armpit },
      { what: 'Left inner upper arm', ...armpit },
      { what: 'Neck roll', why: 'Osteoporosis: no traction.', instead: null },
    ]);
    expect(groups).toEqual([
      { ...armpit, what: ['Left upper chest', 'Left inner upper arm'] },
      { why: 'Osteoporosis: no traction.', instead: null, what: ['Neck roll'] },
    ]);
  });

  it('keeps apart what is done differently instead', () => {
    const groups = byReason([
      { what: 'Left upper chest', ...armpit },
      { what: 'Left armpit nodes', why: armpit.why, instead: null },
    ]);
    expect(groups.map(({ instead }) => instead)).toEqual(['Skin stretch', null]);
  });

  it('names a step twice left out once', () => {
    const one = { what: 'Left upper chest', ...armpit };
    expect(byReason([one, one])[0]?.what).toEqual(['Left upper chest']);
  });

  it('has nothing to tell when nothing is left out', () => {
    expect(byReason([])).toEqual([]);
  });
});
