import { describe, expect, it } from 'vitest';
import { ownMessage } from './own-message';

const message = { subject: 'Your visit', words: 'We expect you at 9:00 & later? #1\nIda' };

describe('a reminder in one’s own program', () => {
  it('is a text to a number without what only eyes need', () => {
    expect(ownMessage({ ...message, channel: 'text', address: '+49 (151) 220-41' })).toBe(
      'sms:+4915122041?body=We%20expect%20you%20at%209%3A00%20%26%20later%3F%20%231%0AIda',
    );
  });

  it('is a mail with its subject, whatever stands in address and words', () => {
    const address = ownMessage({ ...message, channel: 'mail', address: 'zoe+spa@ahorn.example' });
    expect(address).toMatch(/^mailto:zoe%2Bspa@ahorn\.example\?subject=Your%20visit&body=We%20expect/);
    const url = new URL(address);
    expect(url.searchParams.get('body')).toBe(message.words);
    const trick = ownMessage({ ...message, channel: 'mail', address: 'a@b.example?bcc=all@else.example' });
    expect(new URL(trick).searchParams.get('bcc')).toBeNull();
  });
});
