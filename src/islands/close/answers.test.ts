import { describe, expect, it } from 'vitest';
import { answersFrom, changedBy } from './answers';

describe('the answers at the close', () => {
  it('begin with nothing asked', () => {
    expect(answersFrom(null)).toMatchObject({ comfort: null, pressure: null, byClient: [], aftercare: null });
  });

  it('are no longer the client’s own once the therapist has changed them', () => {
    const said = { ...answersFrom(null), comfort: 8, warmth: 1, byClient: ['comfort' as const, 'warmth' as const] };
    expect(changedBy(said, { comfort: 6 })).toMatchObject({ comfort: 6, byClient: ['warmth'] });
    expect(changedBy(said, { note: 'Slept.' }).byClient).toEqual(['comfort', 'warmth']);
  });
});
