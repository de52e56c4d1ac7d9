import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mailKeyLength, mailKeysIn, readDeliveryReport, returnAddress } from './bounce';
import { nextTryMs, outcomeOf } from './delivery';
import { messageWishes, reachOf } from './reach';

describe('by which way a client is reached', () => {
  const both = { phone: '0700 1', email: 'zoe@ahorn.example' };

  it('is the one they chose, and only that one', () => {
    expect(reachOf({ ...both, wish: 'mail' })).toEqual({ way: 'mail', address: both.email, isAgreed: true });
    expect(reachOf({ ...both, wish: 'text' })).toEqual({ way: 'text', address: both.phone, isAgreed: true });
    expect(reachOf({ ...both, email: '', wish: 'mail' })).toBeUndefined();
  });

  it('is a number before an address where nobody has asked, and never without a hand', () => {
    expect(reachOf({ ...both, wish: '' })).toEqual({ way: 'text', address: both.phone, isAgreed: false });
    expect(reachOf({ ...both, phone: '', wish: '' })).toMatchObject({ way: 'mail', isAgreed: false });
    expect(reachOf({ phone: '', email: '', wish: '' })).toBeUndefined();
  });

  it('is none for whoever said no, whatever is on record', () => {
    fc.assert(
      fc.property(fc.string(), fc.string(), (phone, email) => {
        expect(reachOf({ phone, email, wish: 'none' })).toBeUndefined();
      }),
    );
  });

  it('never leads to an empty address', () => {
    const some = fc.constantFrom('', 'x');
    fc.assert(
      fc.property(some, some, fc.constantFrom(...messageWishes), (phone, email, wish) => {
        expect(reachOf({ phone, email, wish })?.address).not.toBe('');
      }),
    );
  });
});

describe('what a mail server says', () => {
  it('is for good with a 5 about the recipient or the text, for now with a 4', () => {
    expect(outcomeOf({ why: 'no such user', replyCode: 550, at: 'recipient' }).kind).toBe('refused');
    expect(outcomeOf({ why: 'full', replyCode: 452, at: 'recipient' }).kind).toBe('later');
    expect(outcomeOf({ why: 'not taken', replyCode: 554, at: 'text' }).kind).toBe('refused');
    expect(outcomeOf({ why: 'busy', replyCode: 451, at: 'text' }).kind).toBe('later');
  });

  it('stops every mail where the line itself is the trouble', () => {
    expect(outcomeOf({ why: 'nobody answers', at: 'line' }).kind).toBe('closed');
    expect(outcomeOf({ why: 'wrong password', replyCode: 535, at: 'line' }).kind).toBe('closed');
  });

  it('refuses an address that could not even be offered', () => {
    expect(outcomeOf({ why: 'no address', at: 'recipient' }).kind).toBe('refused');
    expect(outcomeOf({ why: 'cut off', at: 'text' }).kind).toBe('later');
  });

  it('is asked again with growing pauses, and not for ever', () => {
    const pauses = [1, 2, 3, 4].map((tries) => ((nextTryMs(tries, 0) ?? 0) / 60_000) as number);
    expect(pauses).toEqual([5, 30, 120, 360]);
    expect(nextTryMs(5, 0)).toBeUndefined();
  });
});

const report = `Reporting-MTA: dns; mail.quillmail.example
Arrival-Date: Wed, 25 Nov 2026 08:00:00 +0000

Final-Recipient: rfc822; zoe@ahorn.example
Action: failed
Status: 5.1.1
Diagnostic-Code: smtp; 550 5.1.1 no such mailbox
 here
`;

describe('a report on delivery', () => {
  it('is read with what was said, also over two lines and with either end of line', () => {
    const read = { action: 'failed', why: '550 5.1.1 no such mailbox here' };
    expect(readDeliveryReport(report)).toEqual(read);
    expect(readDeliveryReport(report.replace(/\n/g, '\r\n'))).toEqual(read);
  });

  it('says the status where no words are there', () => {
    expect(readDeliveryReport('X: y\n\nAction: Delayed\nStatus: 4.4.1\n')).toEqual({ action: 'delayed', why: '4.4.1' });
  });

  it('tells the worst of several recipients, and counts all that arrived alike', () => {
    expect(readDeliveryReport('Action: relayed\n\nAction: failed\nStatus: 5.0.0')?.action).toBe('failed');
    expect(readDeliveryReport('Action: expanded\nStatus: 2.0.0')).toEqual({ action: 'delivered', why: '2.0.0' });
  });

  it('is none where nothing is said of a recipient', () => {
    expect(readDeliveryReport('I am away until Monday.')).toBeUndefined();
    expect(readDeliveryReport('')).toBeUndefined();
  });

  it('keeps a rambling server short', () => {
    expect(readDeliveryReport(`Action: failed\nDiagnostic-Code: smtp; ${'no '.repeat(500)}`)?.why).toHaveLength(200);
  });
});

describe('the name of a mail', () => {
  const key = fc.stringMatching(new RegExp(`^[a-z0-9]{${mailKeyLength}}$`));

  it('is found again in the address that reports come back to, wherever it stands', () => {
    fc.assert(
      fc.property(key, fc.constantFrom('', 'To: <', 'x ', '"'), (name, before) => {
        const address = returnAddress('reminders@house.example', name);
        expect(address).toBe(`reminders+${name}@house.example`);
        expect(mailKeysIn(`${before}${address}> and <${name}@house.example>`)).toEqual([name]);
      }),
    );
  });

  it('is not found in what is longer or shorter', () => {
    expect(mailKeysIn(`${'a'.repeat(23)}@x ${'b'.repeat(25)}@x ${'C'.repeat(24)}@x`)).toEqual([]);
  });
});
