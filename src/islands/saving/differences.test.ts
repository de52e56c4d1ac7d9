import { describe, expect, it } from 'vitest';
import { differencesOf } from './SaveLine';

describe('two versions side by side', () => {
  it('show what differs, in the order of the first, and what only one of them says', () => {
    expect(
      differencesOf({ Comfort: '8', Note: 'tight', Scent: '' }, { Comfort: '8', Note: 'soft', Warmth: '1' }),
    ).toEqual([
      { name: 'Note', yours: 'tight', others: 'soft' },
      { name: 'Warmth', yours: '', others: '1' },
    ]);
  });

  it('that say the same show nothing', () => {
    expect(differencesOf({ Note: 'soft' }, { Note: 'soft' })).toEqual([]);
  });
});
