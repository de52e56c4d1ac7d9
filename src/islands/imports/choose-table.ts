import Papa from 'papaparse';
import { decodeText, detectEncoding } from '../../core/exchange/decode-text';
import { importsWords } from './imports.words';
import { kindOfTable, workbookToCsv } from './workbook';

/** A table as it was chosen: its first rows, and how they were read. */
export interface Table {
  readonly file: File;
  readonly encoding: string;
  readonly delimiter: string;
  /** The head first. */
  readonly rows: readonly (readonly string[])[];
}

const headBytes = 200_000;
const shownRows = 40;

/** @returns the table as text, out of a workbook too, or what is wrong with the file */
export async function readTableFile(chosen: File): Promise<Table | string> {
  const file = await textFileOf(chosen);
  if (typeof file === 'string') return file;
  const bytes = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
  const parsed = Papa.parse<string[]>(decodeText(bytes), {
    preview: shownRows,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  return { file, encoding: detectEncoding(bytes), delimiter: parsed.meta.delimiter, rows: parsed.data };
}

/** What a column holds below its head, as far as the table was read. */
export const cellsOf = ({ rows }: Table, column: number | undefined): readonly string[] =>
  rows
    .slice(1)
    .map((row) => row[column ?? -1] ?? '')
    .filter(Boolean);

async function textFileOf(file: File): Promise<File | string> {
  if (file.size === 0) return importsWords.thatFileIsEmptyChooseThe;
  const kind = kindOfTable(new Uint8Array(await file.slice(0, 8).arrayBuffer()));
  if (kind === 'text') return file;
  if (kind === 'older-workbook') return importsWords.thatIsAnOlderWorkbook(file.name);
  try {
    return new File([await workbookToCsv(file)], file.name, { type: 'text/csv' });
  } catch {
    return importsWords.thatWorkbookCannotBeRead(file.name);
  }
}

const delimiterWords: Readonly<Record<string, string>> = {
  ',': importsWords.commas,
  ';': importsWords.semicolons,
  '\t': importsWords.tabs,
  '|': importsWords.bars,
};

/** How a table was understood, for the eye to check. */
export const readAsWords = ({ encoding, delimiter }: Table): string =>
  importsWords.readAsSplitAt(
    encoding === 'windows-1252' ? importsWords.anOlderWesternEncoding : encoding.toUpperCase(),
    delimiterWords[delimiter] ?? `“${delimiter}”`,
  );
