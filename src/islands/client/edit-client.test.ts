import { describe, expect, it } from 'vitest';
import type { ClientInput } from '../../contracts/record';
import { filledIn, messagesHint } from './EditClient';

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

describe('messages on visits', () => {
  const reachable = { ...before, phone: '0700 1', email: 'zoe@ahorn.example' };

  it('say when the client chose, and that nobody has asked', () => {
    expect(messagesHint({ ...reachable, messagesBy: 'mail' }, '2 Dec 2026')).toBe(
      'said 2 Dec 2026; mails bring an entry for their calendar',
    );
    expect(messagesHint({ ...reachable, messagesBy: 'none' }, 'today')).toBe('said today');
    expect(messagesHint({ ...reachable, messagesBy: '' }, '')).toContain('Ask before');
  });

  it('say why nothing can be sent where number or address is missing', () => {
    expect(messagesHint({ ...reachable, messagesBy: 'text', phone: '' }, 'today')).toContain('No number');
    expect(messagesHint({ ...reachable, messagesBy: 'mail', email: '' }, 'today')).toContain('No e-mail');
    expect(messagesHint({ ...reachable, messagesBy: 'none', phone: '', email: '' }, 'today')).toBe('said today');
  });
});
