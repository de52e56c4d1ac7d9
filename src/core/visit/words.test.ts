import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { ageOn, dayInWords, findingInWords, findingsInWords, focusInWords, workInWords } from './words';

describe('what is said about a visit', () => {
  it('names areas as a therapist does', () => {
    expect(focusInWords(anatomy, ['leg.left'])).toBe('left leg');
    expect(focusInWords(anatomy, ['arm.left', 'arm.right', 'neck'])).toBe('both arms and neck');
    expect(focusInWords(anatomy, ['trunk-upper.left', 'trunk-upper.right'])).toBe('both sides of the upper trunk');
    expect(workInWords(anatomy, ['leg.left'], 'swelling')).toBe('drainage, left leg · swelling');
  });

  it('names findings, what closes a way first', () => {
    expect(findingInWords(anatomy, { id: 'nodes-sentinel-axillary', side: 'right' })).toBe(
      'a few right armpit nodes removed',
    );
    const words = findingsInWords(anatomy, [
      { id: 'cancer-history' },
      { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
      { id: 'nodes-removed-inguinal', side: 'left' },
    ]);
    expect(words).toBe(
      'Left groin nodes removed · scar between the left pubic mound and the right pubic mound · cancer treated',
    );
  });

  it('writes dates out', () => {
    expect(dayInWords('2023-06-12')).toBe('12 June 2023');
  });

  it('counts whole years', () => {
    expect(ageOn('1968-11-26', '2026-11-25')).toBe(57);
    expect(ageOn('1968-11-25', '2026-11-25')).toBe(58);
    expect(ageOn(null, '2026-11-25')).toBeNull();
  });
});
