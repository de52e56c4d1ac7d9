import { strToU8, zipSync } from 'fflate';

type Written = string | number | Date;

const daysSince1900 = (day: Date) => day.getTime() / 86_400_000 + 25_569;

const cellOf = (value: Written, ref: string) =>
  typeof value === 'string'
    ? `<c r="${ref}" t="inlineStr"><is><t>${value}</t></is></c>`
    : typeof value === 'number'
      ? `<c r="${ref}"><v>${value}</v></c>`
      : `<c r="${ref}" s="1"><v>${daysSince1900(value)}</v></c>`;

/** The smallest workbook that a spreadsheet program would open. */
export function workbook(rows: readonly (readonly Written[])[]): Blob {
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
