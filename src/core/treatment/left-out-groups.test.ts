import { describe, expect, it } from 'vitest';
import { byReason, insteadInWords } from './left-out-groups';

const armpit = { why: 'Nodes removed: no stroke goes to the left armpit nodes.', instead: 'Skin stretch' };

describe('what is left out', () => {
  it('tells each reason once, with all that falls to it in its order', () => {
    const groups = byReason([
      { what: 'Left upper chest', ...armpit },
      { what: 'Left inner upper arm', ...armpit },
      { what: 'Neck roll', why: 'Osteoporosis: no traction.', instead: null },
    ]);
    expect(groups).toEqual([
      {
        why: armpit.why,
        what: ['Left upper chest', 'Left inner upper arm'],
        instead: [{ name: 'Skin stretch', of: ['Left upper chest', 'Left inner upper arm'] }],
      },
      { why: 'Osteoporosis: no traction.', what: ['Neck roll'], instead: [] },
    ]);
  });

  it('tells once what is done instead, each with its place where it is not the same for all', () => {
    const [group] = byReason([
      { what: 'Jaw', why: 'Rosacea.', instead: 'Soothing wave' },
      { what: 'Cheek', why: 'Rosacea.', instead: 'Soothing wave' },
      { what: 'Nose', why: 'Rosacea.', instead: 'Contour strokes' },
      { what: 'Chin', why: 'Rosacea.', instead: null },
    ]);
    expect(group?.what).toEqual(['Jaw', 'Cheek', 'Nose', 'Chin']);
    expect(insteadInWords(group?.instead ?? [], 4)).toBe('Soothing wave (Jaw; Cheek), Contour strokes (Nose)');
    const [same] = byReason([
      { what: 'Jaw', why: 'Rosacea.', instead: 'Soothing wave' },
      { what: 'Cheek', why: 'Rosacea.', instead: 'Soothing wave' },
    ]);
    expect(insteadInWords(same?.instead ?? [], 2)).toBe('Soothing wave');
  });

  it('names a step twice left out once', () => {
    const one = { what: 'Left upper chest', ...armpit };
    expect(byReason([one, one])[0]?.what).toEqual(['Left upper chest']);
  });

  it('has nothing to tell when nothing is left out', () => {
    expect(byReason([])).toEqual([]);
  });
});
