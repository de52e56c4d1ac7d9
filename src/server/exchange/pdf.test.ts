import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { makePdf, runs } from './pdf';

/** The streams of a PDF, unpacked where they are packed. */
function streamsOf(pdf: Buffer): readonly string[] {
  return [...pdf.toString('latin1').matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)].map(([, body = '']) => {
    try {
      return inflateSync(Buffer.from(body, 'latin1')).toString('latin1');
    } catch {
      return body;
    }
  });
}

describe('documents', () => {
  it('carry their fonts with them, also for rarer letters, and are one A4 page', async () => {
    const pdf = await makePdf({ content: [{ text: runs('Łucja Őrség, born in Bågå') }] });
    const text = pdf.toString('latin1');
    expect(text.startsWith('%PDF-1.')).toBe(true);
    expect(text.match(/\/FontFile[23]?/g)?.length).toBe(2);
    expect(text).toContain('[0 0 595.28 841.89]');
    expect(text.match(/\/Type \/Page\b(?!s)/g)).toHaveLength(1);
  });

  it('hold nothing that runs or is fetched', async () => {
    const pdf = await makePdf({ content: [{ text: runs('<script>alert(1)</script> https://elsewhere.example') }] });
    const text = [pdf.toString('latin1'), ...streamsOf(pdf)].join('\n');
    expect(text).not.toMatch(/\/JavaScript|\/Launch|\/URI/);
  });

  it('split a text only where the second font is needed', () => {
    expect(runs('plain')).toEqual([{ text: 'plain' }]);
    expect(runs('Łucja')).toEqual([{ text: 'Ł', font: 'SansMore' }, { text: 'ucja' }]);
    expect(runs('')).toEqual([]);
  });
});
