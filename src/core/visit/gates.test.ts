import { describe, expect, it } from 'vitest';
import { gatesInWords, missingGates } from './gates';

const done = { isFirst: true, intakeOpen: 0, hasConsent: true, checkOpen: 0 };

describe('before hands are laid on', () => {
  it('a first visit needs the full intake, consent and the check', () => {
    expect(missingGates(done)).toEqual([]);
    const nothing = missingGates({ ...done, intakeOpen: 170, hasConsent: false, checkOpen: 15 });
    expect(nothing.map(({ gate }) => gate)).toEqual(['intake', 'consent', 'check']);
    expect(gatesInWords(nothing)).toBe('the full intake (170 open), consent and the check of today (15 open)');
  });

  it('every later visit needs the check', () => {
    const later = { ...done, isFirst: false, intakeOpen: 170, hasConsent: false };
    expect(missingGates(later)).toEqual([]);
    expect(gatesInWords(missingGates({ ...later, checkOpen: 2 }))).toBe('the check of today (2 open)');
  });
});
