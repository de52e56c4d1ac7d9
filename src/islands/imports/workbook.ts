import Papa from 'papaparse';

/** How a workbook of a spreadsheet program begins: it is an archive. A CSV never begins so. */
const archive = [0x50, 0x4b, 0x03, 0x04];
/** How the workbooks of before 2007 begin. */
const older = [0xd0, 0xcf, 0x11, 0xe0];

/** @param bytes the first bytes of a file */
export const kindOfTable = (bytes: Uint8Array): 'text' | 'workbook' | 'older-workbook' => {
  const begins = (mark: readonly number[]) => mark.every((byte, i) => bytes[i] === byte);
  return begins(archive) ? 'workbook' : begins(older) ? 'older-workbook' : 'text';
};

/**
 * The first sheet of a workbook as a CSV, row by row as it stands there. The reader is fetched only now.
 * @throws for an archive that is no workbook
 */
export async function workbookToCsv(file: Blob): Promise<string> {
  const [{ default: readWorkbook }, { unzipSync, zipSync }] = await Promise.all([
    import('read-excel-file/universal'),
    import('fflate'),
  ]);
  // The reader unpacks large sheets in a worker of its own making, which our pages do not allow: it gets them unpacked.
  const unpacked = zipSync(unzipSync(new Uint8Array(await file.arrayBuffer())), { level: 0 });
  const [sheet] = await readWorkbook(unpacked.slice().buffer);
  return Papa.unparse((sheet?.data ?? []).map((row) => row.map(textOf)));
}

/** Days come as moments in universal time; a day is what the sheet shows. */
const textOf = (cell: unknown): string =>
  cell instanceof Date ? cell.toISOString().slice(0, 10) : cell === null || cell === undefined ? '' : String(cell);
