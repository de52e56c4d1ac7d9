import { describe, expect, it } from 'vitest';
import { preparationFor, type VisitFacts } from './prepare';

const facts = (input: Partial<VisitFacts> = {}): VisitFacts => ({
  intakeDue: null,
  missingNotes: [],
  endingNotes: [],
  isConsentDue: false,
  focus: ['leg.left'],
  isDrained: true,
  hasRoomList: false,
  isTaped: true,
  checkOpen: 0,
  ...input,
});
const texts = (input: Partial<VisitFacts> = {}, reader: 'therapist' | 'desk' = 'therapist') =>
  preparationFor(facts(input))
    .filter(({ seenBy }) => seenBy === 'both' || seenBy === reader)
    .map(({ text }) => text);

describe('what to see to before a visit', () => {
  it('asks, tapes and lays out for a limb', () => {
    expect(texts()).toEqual([
      'Ask: still fever-free, no new redness?',
      'Tape both legs at the same points as last time',
      'Lay out: tape measure, bolster, warm cover, no oil',
    ]);
  });

  it('does not speak of last time when nothing was taped, nor tape a face', () => {
    expect(texts({ isTaped: false })).toContain('Tape both legs');
    expect(texts({ focus: ['face'] }).join()).not.toContain('Tape');
  });

  it('says how much of the check of the day is open', () => {
    expect(texts({ checkOpen: 15 })).toContain('The check of today: 15 questions open');
    expect(texts({ checkOpen: 1 })).toContain('The check of today: 1 question open');
    expect(texts().join()).not.toContain('check of today');
  });

  it('puts a missing note before everything else', () => {
    expect(texts({ missingNotes: ['a clot', 'a port'] })[0]).toBe('A written note is missing: a clot and a port');
  });

  it('says why a full intake is due, and what is to be signed', () => {
    const all = texts({ intakeDue: 'first visit', isConsentDue: true });
    expect(all).toContain('Full intake (first visit): allow ten minutes more');
    expect(all).toContain('Consent to read and sign');
    expect(all).not.toContain('Ask: still fever-free, no new redness?');
  });

  it('reminds at parting of a note that runs out', () => {
    expect(texts({ endingNotes: [{ label: 'Port', until: '2026-12-09' }] }).at(-1)).toContain('9 December 2026');
  });

  it('tells the front desk nothing of what was found', () => {
    const input = {
      missingNotes: ['a clot'],
      endingNotes: [{ label: 'Port', until: '2026-12-09' }],
      isConsentDue: true,
    };
    expect(texts(input, 'desk')).toEqual([
      'A clearance note is missing: ask the client to bring it',
      'Consent to read and sign',
      'Lay out: tape measure, bolster, warm cover, no oil',
    ]);
  });
});
