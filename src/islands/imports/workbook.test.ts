import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { kindOfTable, workbookToCsv } from './workbook';

type Written = string | number | Date;

const daysSince1900 = (day: Date) => day.getTime() / 86_400_000 + 25_569;

const cellOf = (value: Written, ref: string) =>
  typeof value === 'string'
    ? `<c r="${ref}" t="inlineStr"><is><t>${value}</t></is></c>`
    : typeof value === 'number'
      ? `<c r="${ref}"><v>${value}</v></c>`
      : `<c r="${ref}" s="1"><v>${daysSince1900(value)}</v></c>`;

/** The smallest workbook that a spreadsheet program would open. */
function workbook(rows: readonly (readonly Written[])[]): Blob {
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const packages = 'http://schemas.openxmlformats.org/package/2006/relationships';
  const letters = 'ABCDEFGHIJKLMNOP';
  const sheet = rows.map(
    (row, i) => `<row r="${i + 1}">${row.map((value, k) => cellOf(value, `${letters[k]}${i + 1}`)).join('')}</row>`,
  );
  const files = {
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>',
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${office}"><sheets><sheet name="Girths" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${packages}"><Relationship Id="rId1" Type="${office}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${office}/styles" Target="styles.xml"/></Relationships>`,
    'xl/styles.xml': `<styleSheet xmlns="${main}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${sheet.join('')}</sheetData></worksheet>`,
  };
  const packed = zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
  return new Blob([packed.slice()]);
}

describe('a table that is a workbook', () => {
  it('is told from text by how it begins', async () => {
    const begin = new Uint8Array(
      await workbook([['a']])
        .slice(0, 8)
        .arrayBuffer(),
    );
    expect(kindOfTable(begin)).toBe('workbook');
    expect(kindOfTable(new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 0xa1]))).toBe('older-workbook');
    expect(kindOfTable(new TextEncoder().encode('date,limb'))).toBe('text');
    expect(kindOfTable(new Uint8Array())).toBe('text');
  });

  it('becomes the table that it shows: days as days, commas and quotation marks within cells', async () => {
    const csv = await workbookToCsv(
      workbook([
        ['client', 'date', 'girth cm'],
        ['Moor, Ida', new Date('2026-03-02T00:00:00Z'), 34.5],
        ['“Zoë”', new Date('2024-02-29T00:00:00Z'), 22],
      ]),
    );
    expect(csv.split('\r\n')).toEqual(['client,date,girth cm', '"Moor, Ida",2026-03-02,34.5', '“Zoë”,2024-02-29,22']);
  });

  it('may be large: nothing is unpacked in a worker, which our pages would not allow', async () => {
    const rows = Array.from({ length: 8000 }, (_, i) => ['leg', 'left', i % 100, 20 + (i % 300) / 10]);
    const csv = await workbookToCsv(workbook([['limb', 'side', 'point', 'girth'], ...rows]));
    expect(csv.split('\r\n')).toHaveLength(8001);
    expect(csv.split('\r\n').at(-1)).toBe('leg,left,99,39.9');
  });

  it('is refused where it is an archive of something else, or cut short', async () => {
    await expect(workbookToCsv(new Blob([zipSync({ 'a.txt': strToU8('a') }).slice()]))).rejects.toThrow();
    await expect(workbookToCsv(workbook([['a']]).slice(0, 200))).rejects.toThrow();
  });
});
