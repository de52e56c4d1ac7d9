import { createRequire } from 'node:module';
import type { Content, Margins, TDocumentDefinitions } from 'pdfmake/interfaces';
import { PdfTags, withTags } from './tagged-pdf';

const require = createRequire(import.meta.url);
const file = (name: string) =>
  require.resolve(`@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-${name}.woff`);

/** The fonts of the house, embedded into every document: basic letters, and a second file for rarer ones. */
const fonts = {
  Sans: {
    normal: file('latin-400-normal'),
    bold: file('latin-700-normal'),
    italics: file('latin-400-italic'),
    bolditalics: file('latin-700-italic'),
  },
  SansMore: {
    normal: file('latin-ext-400-normal'),
    bold: file('latin-ext-700-normal'),
    italics: file('latin-ext-400-italic'),
    bolditalics: file('latin-ext-700-italic'),
  },
};

/** Letters that only the second file has, such as ł and ő. */
const rarer = /([\u0100-\u024f\u1e00-\u1eff]+)/;

/** A text in runs, each in the font that has its letters; what stands around a run does not make it bold. */
export function runs(text: string, isBold = false): Content {
  return text
    .split(rarer)
    .filter((part) => part !== '')
    .map((part) => ({
      text: part,
      ...(rarer.test(part) ? { font: 'SansMore' } : {}),
      ...(isBold ? { bold: true } : {}),
    }));
}

/** A picture, with the words for those who cannot see it. */
export function picture(svg: string, width: number, alt: string): Content {
  const told = { svg, width, alt };
  return told;
}

/** Options of the printer that its types do not have yet. */
const readerTold = (language: string): object => ({ language, displayTitle: true, tagged: true });

/** A document without the style of the house, with the language that it is written in. */
type Paper = Omit<TDocumentDefinitions, 'defaultStyle'> & { readonly language?: string };

/** What the house itself writes. */
const houseLanguage = 'en-GB';

/** The margin below, in which what repeats on every page stands (points). */
const footerPoints = 64;

/** Makes a PDF of A4 pages with the fonts embedded, tagged; a reader is told its language, and shows its title. */
export async function makePdf({ language = houseLanguage, ...definition }: Paper): Promise<Buffer> {
  // Loaded with the first document: a house starts in three quarters of the time without it.
  const { default: PdfPrinter } = await import('pdfmake');
  return new Promise((resolve, reject) => {
    const printer = new PdfPrinter(fonts);
    const tags = new PdfTags(bottomOf(definition.pageMargins));
    withTags(printer, tags);
    const document = printer.createPdfKitDocument(
      {
        pageSize: 'A4',
        pageMargins: [56, 56, 56, footerPoints],
        ...definition,
        ...readerTold(language),
        defaultStyle: { font: 'Sans', fontSize: 11, lineHeight: 1.3, color: '#2b2233' },
      },
      { progressCallback: () => tags.next() },
    );
    const parts: Buffer[] = [];
    document.on('data', (part: Buffer) => parts.push(part));
    document.on('end', () => resolve(Buffer.concat(parts)));
    document.on('error', reject);
    document.end();
  });
}

const bottomOf = (margins: Margins | undefined = footerPoints): number =>
  typeof margins === 'number' ? margins : (margins[3] ?? margins[1]);
