import { describe, expect, it } from 'vitest';
import type { ClientInput } from '../../contracts/record';
import { filledIn } from './EditClient';

const before: ClientInput = {
  ...{ name: 'Mona Kolk', bornOn: '1970-02-03', phone: '', email: '', address: '', emergencyContact: '', note: '' },
  likes: { pressure: '', warmth: '', music: '', sides: '', scentsLiked: '', scentsDisliked: '', other: '' },
  ...{ medicines: '', heightCm: 168, language: '', messagesBy: '', dueOn: null },
};
const typed = { ...before, bornOn: '1970-02-03', heightCm: '168' };

describe('what is typed about a client', () => {
  it('is the client as before when nothing was touched', () => {
    expect(filledIn(before, typed)).toEqual(before);
  });

  it('has no birthday where the field is empty', () => {
    expect(filledIn(before, { ...typed, bornOn: '' }).bornOn).toBeNull();
  });

  it.each([
    ['172,5', 172.5],
    [' 172.5 ', 172.5],
    ['', null],
  ])('takes a height of “%s” as %s', (heightCm, cm) => {
    expect(filledIn(before, { ...typed, heightCm }).heightCm).toBe(cm);
  });

  it('leaves the height as it was where no number is typed', () => {
    expect(filledIn(before, { ...typed, heightCm: 'tall' }).heightCm).toBe(168);
  });
});
