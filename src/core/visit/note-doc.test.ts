import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noteFrom, plainNote, withSentences } from './note-doc';

describe('a note', () => {
  it('is plain text and back, line by line', () => {
    fc.assert(
      fc.property(fc.array(fc.string().map((line) => line.replaceAll(/\s+/g, ' ').trim())), (lines) => {
        const text = lines.join('\n').trim();
        expect(plainNote(noteFrom(text))).toBe(text);
      }),
    );
  });

  it('writes lists with a dot, and keeps what is bold as words', () => {
    const text = { type: 'text', text: 'softer', marks: [{ type: 'bold' }] } as const;
    expect(
      plainNote({
        type: 'doc',
        content: [
          { type: 'paragraph', content: [text] },
          { type: 'bulletList', content: [{ type: 'listItem', content: [{ type: 'paragraph', content: [text] }] }] },
        ],
      }),
    ).toBe('softer\n• softer');
  });

  it('takes sentences in behind what is written', () => {
    expect(plainNote(withSentences(noteFrom('Calm.'), ['Tighter at left calf.', 'Redness at left calf.']))).toBe(
      'Calm.\nTighter at left calf. Redness at left calf.',
    );
    expect(plainNote(withSentences(noteFrom(''), ['A.']))).toBe('A.');
  });
});
