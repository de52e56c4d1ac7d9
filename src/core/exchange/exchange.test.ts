import { describe, expect, it } from 'vitest';
import { decodeText, detectEncoding } from './decode-text';
import { TapingHeap } from './gather-tapings';
import { type ColumnPlan, guessColumns, missingInPlan, readRow } from './measure-rows';
import { guessDateOrder, readDate } from '../calendar/read-date';

const bytes = (...codes: number[]) => new Uint8Array(codes);

describe('the encoding of a file', () => {
  it('is told by its mark, or by whether it is sound UTF-8', () => {
    expect(decodeText(new TextEncoder().encode('\ufeffgirth;Zoë'))).toBe('girth;Zoë');
    expect(detectEncoding(bytes(0xff, 0xfe, 0x67, 0))).toBe('utf-16le');
    expect(decodeText(bytes(0xff, 0xfe, 0x67, 0, 0x69, 0))).toBe('gi');
    expect(decodeText(bytes(0xfe, 0xff, 0, 0x67))).toBe('g');
    expect(decodeText(bytes(0x5a, 0x6f, 0xeb))).toBe('Zoë');
  });
});

describe('a date', () => {
  it('is read in the order told, with any of the usual separators', () => {
    expect(readDate('2026-03-02', 'day-month-year')).toBe('2026-03-02');
    expect(readDate('2.3.2026', 'day-month-year')).toBe('2026-03-02');
    expect(readDate('3/2/2026 14:30', 'month-day-year')).toBe('2026-03-02');
    for (const text of ['31.2.2026', '2.3.26', 'yesterday', '', '2026-13-01'])
      expect(readDate(text, 'day-month-year'), text).toBeUndefined();
  });
  it('has its order guessed from a sample', () => {
    expect(guessDateOrder(['2026-01-02'])).toBe('year-month-day');
    expect(guessDateOrder(['13.1.2026', '2.1.2026'])).toBe('day-month-year');
    expect(guessDateOrder(['1/13/2026', '1/2/2026'])).toBe('month-day-year');
  });
});

const long = ['date', 'limb', 'side', 'point cm', 'girth cm'];
const plan: ColumnPlan = {
  columns: { date: 0, limb: 1, side: 2, point: 3, girth: 4 },
  pointColumns: [],
  unit: 'cm',
  dateOrder: 'year-month-day',
  limb: null,
  phase: 'before',
};

describe('a table of girths', () => {
  it('has its columns found by their heads', () => {
    expect(guessColumns(['Client', 'Date', 'Limb', 'Side', 'Point (cm)', 'Girth (cm)'])).toMatchObject({
      columns: { client: 0, date: 1, limb: 2, side: 3, point: 4, girth: 5 },
      pointColumns: [],
      unit: 'cm',
    });
    expect(guessColumns(['date', 'side', '0 in', '4 in', '8 in'])).toMatchObject({
      pointColumns: [
        { index: 2, point: 0 },
        { index: 3, point: 4 },
        { index: 4, point: 8 },
      ],
      unit: 'in',
    });
  });

  it('says what is still missing before it can be read', () => {
    expect(missingInPlan(plan, true)).toEqual([]);
    expect(missingInPlan({ ...plan, columns: { date: 0 } }, false)).toHaveLength(4);
  });

  it('reads a row with a comma, a thin space or a unit of its own', () => {
    const row = readRow(['2026-03-02', 'Leg', 'L', '4', '34,5\u2009cm'], plan, long);
    expect(row).toMatchObject({ ok: true, readings: [{ limb: 'leg', side: 'left', pointCm: 4, girthCm: 34.5 }] });
    const inches = readRow(['2026-03-02', 'arm', 'right', '0', '10 in'], plan, long);
    expect(inches).toMatchObject({ ok: true, readings: [{ pointCm: 0, girthCm: 25.4 }] });
  });

  it.each([
    [['2026-02-30', 'leg', 'left', '4', '34'], 'date'],
    [['2026-03-02', 'tail', 'left', '4', '34'], 'limb'],
    [['2026-03-02', 'leg', 'middle', '4', '34'], 'side'],
    [['2026-03-02', 'leg', 'left', 'knee', '34'], 'point cm'],
    [['2026-03-02', 'leg', 'left', '4', 'thick'], 'girth cm'],
    [['2026-03-02', 'leg', 'left', '4', '0'], 'girth cm'],
    [['2026-03-02', 'leg', 'left', '4', '3450'], 'girth cm'],
  ])('names the column of a bad row: %s', (row, column) => {
    expect(readRow(row, plan, long)).toMatchObject({ ok: false, trouble: { column } });
  });

  it('leaves an empty girth out without a word', () => {
    expect(readRow(['2026-03-02', 'leg', 'left', '4', ''], plan, long)).toEqual({ ok: true, readings: [] });
  });

  it('reads rows that hold a whole side', () => {
    const wide: ColumnPlan = {
      ...plan,
      columns: { date: 0, side: 1 },
      limb: 'arm',
      pointColumns: [
        { index: 2, point: 0 },
        { index: 3, point: 4 },
      ],
    };
    const row = readRow(['2026-03-02', 'right', '16.2', ''], wide, ['date', 'side', '0', '4']);
    expect(row).toMatchObject({ ok: true, readings: [{ limb: 'arm', pointCm: 0, girthCm: 16.2 }] });
  });
});

describe('gathering tapings', () => {
  const reading = {
    client: '',
    born: null,
    date: '2026-03-02',
    phase: 'before',
    limb: 'leg',
    side: 'left',
    pointCm: 0,
    girthCm: 22,
    ...{ secondCm: null, thirdCm: null, isSwollen: null },
  } as const;

  it('lays both sides on the same points, null where one has none', () => {
    const heap = new TapingHeap();
    heap.add(reading, 2);
    heap.add({ ...reading, pointCm: 4, girthCm: 24 }, 3);
    heap.add({ ...reading, side: 'right', girthCm: 21 }, 4);
    expect(heap.tapings().tapings).toMatchObject([{ positionsCm: [0, 4], left: [22, 24], right: [21, null] }]);
  });

  it('refuses the same point twice and says where it stands already', () => {
    const heap = new TapingHeap();
    expect(heap.add(reading, 2)).toBeUndefined();
    expect(heap.add(reading, 9)?.message).toContain('row 2');
  });

  it('needs two points for a taping', () => {
    const heap = new TapingHeap();
    heap.add(reading, 7);
    expect(heap.tapings()).toMatchObject({ tapings: [], troubles: [{ row: 7 }] });
  });
});

describe('readings and swollen sides', () => {
  const head = [
    'date',
    'limb',
    'side',
    'swollen',
    'point cm',
    'first reading cm',
    'second reading cm',
    'third reading cm',
    'girth cm',
  ];
  const wide: ColumnPlan = { ...plan, ...guessColumns(head), unit: 'cm' };
  const read = (...cells: readonly string[]) => readRow(['2026-03-02', 'leg', ...cells], wide, head);

  it('have their columns found by their heads', () => {
    expect(wide.columns).toEqual({
      ...{ date: 0, limb: 1, side: 2, swollen: 3, point: 4 },
      ...{ first: 5, second: 6, third: 7, girth: 8 },
    });
    expect(missingInPlan({ ...wide, columns: { ...wide.columns, girth: undefined } }, true)).toEqual([]);
  });

  it('are told apart: what the table works out of them counts only where there are none', () => {
    expect(read('left', 'yes', '4', '34', '34.4', '', '34.2')).toMatchObject({
      readings: [{ girthCm: 34, secondCm: 34.4, thirdCm: null, isSwollen: true }],
    });
    expect(read('left', 'no', '4', '', '', '', '34.2')).toMatchObject({
      readings: [{ girthCm: 34.2, secondCm: null, thirdCm: null, isSwollen: false }],
    });
    // The second pass was the first in which this point could be reached.
    expect(read('left', '', '4', '', '34.4', '', '34.4')).toMatchObject({
      readings: [{ girthCm: null, secondCm: 34.4, isSwollen: null }],
    });
    expect(read('left', '', '4', '', '', '', '')).toEqual({ ok: true, readings: [] });
  });

  it('may stand beside a girth that is the first of them', () => {
    const others = ['date', 'limb', 'side', 'point cm', 'girth cm', 'second reading cm'];
    const beside: ColumnPlan = { ...plan, ...guessColumns(others), unit: 'cm' };
    expect(readRow(['2026-03-02', 'leg', 'left', '4', '34', '34.4'], beside, others)).toMatchObject({
      readings: [{ girthCm: 34, secondCm: 34.4 }],
    });
  });

  it.each([
    [['left', 'perhaps', '4', '34', '', '', ''], 'swollen'],
    [['left', 'yes', '4', '34', 'thick', '', ''], 'second reading cm'],
    [['left', 'yes', '4', '34', '34', '900', ''], 'third reading cm'],
  ])('are named where they are wrong: %s', (cells, column) => {
    expect(read(...cells)).toMatchObject({ ok: false, trouble: { column } });
  });

  it('say which side is swollen, and not both', () => {
    const heap = new TapingHeap();
    const add = (row: number, ...cells: readonly string[]) => {
      const result = read(...cells);
      if (!result.ok) throw new Error('unreadable');
      return result.readings.map((reading) => heap.add(reading, row)).find((trouble) => trouble !== undefined);
    };
    expect(add(2, 'left', 'yes', '0', '24', '24.2', '', '')).toBeUndefined();
    expect(add(3, 'left', 'yes', '4', '26', '', '', '')).toBeUndefined();
    expect(add(4, 'right', 'no', '0', '30', '', '', '')).toBeUndefined();
    expect(add(5, 'right', 'yes', '4', '31', '', '', '')).toMatchObject({
      column: 'swollen',
      message: expect.stringContaining('Row 2') as string,
    });
    expect(heap.tapings().tapings).toMatchObject([
      { swollen: 'left', left: [24, 26], second: { left: [24.2, null], right: [null, null] }, third: null },
    ]);
  });

  it('bear names that a spreadsheet would work out', () => {
    const named: ColumnPlan = { ...plan, columns: { ...plan.columns, client: 5 } };
    const clientOf = (name: string) => {
      const result = readRow(['2026-03-02', 'leg', 'left', '4', '34', name], named, [...long, 'client']);
      return result.ok ? result.readings[0]?.client : undefined;
    };
    expect(clientOf("'=Zoe")).toBe('=Zoe');
    expect(clientOf("'+Ida")).toBe('+Ida');
    expect(clientOf("O'Hollen")).toBe("O'Hollen");
    expect(clientOf("'t Veld")).toBe("'t Veld");
  });
});
