import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { open, openText, seal, sealText } from './sealing';

const keys = fc.uint8Array({ minLength: 32, maxLength: 32 });

describe('a sealed draft', () => {
  it('is read by its writer as it was written', () => {
    fc.assert(
      fc.property(fc.jsonValue(), keys, (value, key) => {
        expect(JSON.stringify(open(seal(value, key), key))).toBe(JSON.stringify(value));
      }),
    );
  });

  it('can be text, and what is no sealed text is nothing', () => {
    const key = new Uint8Array(32).fill(3);
    expect(openText(sealText(['press', 1], key), key)).toEqual(['press', 1]);
    expect(openText('', key)).toBeUndefined();
    expect(openText('%%%', key)).toBeUndefined();
  });

  it('says nothing to anybody else', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 8 }), keys, keys, (text, mine, yours) => {
        fc.pre(Buffer.compare(mine, yours) !== 0);
        const sealed = seal(text, mine);
        expect(open(sealed, yours)).toBeUndefined();
        expect(Buffer.from(sealed).includes(Buffer.from(text))).toBe(false);
      }),
    );
  });

  it('is refused when a bit of it was changed', () => {
    fc.assert(
      fc.property(keys, fc.nat(), (key, at) => {
        const sealed = seal({ note: 'tighter below the knee' }, key);
        const changed = sealed.map((byte, i) => (i === at % sealed.length ? byte ^ 1 : byte));
        expect(open(changed, key)).toBeUndefined();
      }),
    );
  });

  it('looks different each time, so that nobody sees that the same was written', () => {
    const key = new Uint8Array(32).fill(7);
    expect(Buffer.compare(seal('same', key), seal('same', key))).not.toBe(0);
  });
});
