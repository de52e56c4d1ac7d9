import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { kindOfTable, workbookToCsv } from './workbook';
import { workbook } from './workbook-fixture';

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
