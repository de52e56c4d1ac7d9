import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FairShare } from './fair-share';

describe('the share of a person or an address', () => {
  it('lasts for a minute of computing, and comes back as time goes by', () => {
    const share = new FairShare();
    expect(share.waitSeconds('a', 0)).toBe(0);
    share.spend('a', 60_000, 0);
    expect(share.waitSeconds('a', 0)).toBe(1);
    expect(share.waitSeconds('a', 1_001)).toBe(0);
    share.spend('a', 5_000, 1_001);
    expect(share.waitSeconds('a', 1_001)).toBe(4);
  });

  it('is its own: nobody waits for somebody else', () => {
    const share = new FairShare();
    share.spend('a', 200_000, 0);
    expect(share.waitSeconds('b', 0)).toBe(0);
  });

  it('never stops one who asks for less than one processor gives', () => {
    const turns = fc.array(fc.integer({ min: 1, max: 3000 }), { maxLength: 60 });
    fc.assert(
      fc.property(turns, (spent) => {
        const share = new FairShare();
        let now = 0;
        for (const ms of spent) {
          now += ms;
          expect(share.waitSeconds('a', now)).toBe(0);
          share.spend('a', ms, now);
        }
      }),
    );
  });

  it('is never more than the reserve, however long nobody asks', () => {
    const share = new FairShare();
    share.spend('a', 1, 0);
    share.spend('a', 60_000, 10_000_000);
    expect(share.waitSeconds('a', 10_000_000)).toBeGreaterThan(0);
  });
});
