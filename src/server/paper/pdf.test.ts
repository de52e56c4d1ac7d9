import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { makePdf, picture, runs } from './pdf';

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

  it('are tagged: title, headings, paragraphs and pictures in the order in which they are read', async () => {
    const pdf = await makePdf({
      language: 'de',
      info: { title: 'Zu Hause' },
      footer: () => ({ text: 'Quellgarten', margin: [56, 8, 56, 0] }),
      content: [
        { text: runs('Zu Hause'), fontSize: 22, bold: true },
        { text: runs('Ein Satz, der länger ist als eine Zeile. '.repeat(6)) },
        { text: runs('Bein'), fontSize: 13, bold: true },
        picture(
          '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>',
          9,
          'Bein',
        ),
        { text: runs('Zweite Seite'), pageBreak: 'before' },
      ],
    });
    const text = pdf.toString('latin1');
    expect(text).toContain('/Lang (de)');
    expect(text).toContain('/Marked true');
    expect(text).toContain('/DisplayDocTitle true');
    const kinds = [...text.matchAll(/\/S \/(\w+)/g)].map(([, kind]) => kind);
    expect(kinds.toSorted()).toEqual(['Document', 'Figure', 'H1', 'H2', 'P', 'P']);
    expect(text).toContain('/Alt (Bein)');
    const pages = streamsOf(pdf).filter((stream) => stream.includes('BMC') || stream.includes('BDC'));
    expect(pages).toHaveLength(2);
    for (const page of pages) {
      // What is opened is closed, and the footer is no part of what is read.
      expect(page.match(/\b(BMC|BDC)\b/g)).toHaveLength(page.match(/\bEMC\b/g)?.length ?? -1);
      expect(page.match(/\/Artifact BMC/g)).toHaveLength(1);
    }
  });
});
