import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../../catalogue/library/library';
import { techniqueOf, typedOf } from './typed-technique';

const all = [...shippedLibrary.techniques.values()];
const [first] = all;
if (!first) throw new Error('the library has techniques');

describe('a technique as it is typed', () => {
  it.each(all.map((technique) => [technique.id, technique] as const))('%s comes back as it was', (_, technique) => {
    expect(techniqueOf(technique, typedOf(technique))).toEqual(technique);
  });

  it('says its sentences line by line', () => {
    const typed = { ...typedOf(first), cues: 'Lay the hand on.\nWait.' };
    expect(techniqueOf(first, typed).cues).toEqual(['Lay the hand on.', 'Wait.']);
  });

  it('takes no stones where none are chosen', () => {
    const typed = { ...typedOf(first), stones: { size: '', count: '2', keep: true } };
    expect(techniqueOf(first, typed).stones).toBeUndefined();
  });

  it('takes as many stones as are typed', () => {
    const typed = { ...typedOf(first), stones: { size: 'palm', count: '2', keep: false } };
    expect(techniqueOf(first, typed).stones).toEqual({ size: 'palm', count: 2, keep: false });
  });

  it('takes numbers with a comma, too', () => {
    expect(techniqueOf(first, { ...typedOf(first), secondsPerRepetition: '2,5' }).secondsPerRepetition).toBe(2.5);
  });

  it('counts an emptied number as none, which the house refuses at its field', () => {
    expect(techniqueOf(first, { ...typedOf(first), placements: '' }).placements).toBe(0);
  });
});
