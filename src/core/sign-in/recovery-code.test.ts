import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { codeBytes, codeOf, isTimeCode, normalCode } from './recovery-code';

const random = fc.uint8Array({ minLength: codeBytes, maxLength: codeBytes });

describe('a recovery code', () => {
  it('is four groups of four that nobody misreads', () => {
    fc.assert(
      fc.property(random, (bytes) => {
        expect(codeOf(bytes)).toMatch(/^([346789A-HJKMNPQRTWXY]{4}-){3}[346789A-HJKMNPQRTWXY]{4}$/);
      }),
    );
  });

  it('is the same however it is typed', () => {
    fc.assert(
      fc.property(random, (bytes) => {
        const code = codeOf(bytes);
        const typed = ` ${code.toLowerCase().replaceAll('-', ' ')} `;
        expect(normalCode(typed)).toBe(normalCode(code));
        expect(isTimeCode(code)).toBe(false);
      }),
    );
  });

  it('takes all of its chance, and no less', () => {
    expect(() => codeOf(new Uint8Array(codeBytes - 1))).toThrow(RangeError);
    const all = new Set(
      Array.from({ length: 500 }, (_, i) =>
        codeOf(Uint8Array.from({ length: codeBytes }, (__, k) => (i * (k + 7) * 31) % 256)),
      ),
    );
    expect(all.size).toBeGreaterThan(200);
  });
});

describe('six digits', () => {
  it.each(['123456', '123 456', ' 123456 '])('“%s” is a code of the half minute', (typed) =>
    expect(isTimeCode(typed)).toBe(true),
  );
  it.each(['12345', '1234567', 'ABCD-EFGH', ''])('“%s” is none', (typed) => expect(isTimeCode(typed)).toBe(false));
});
