import Papa from 'papaparse';
import type { BottleInput } from '../../contracts/oil-house';
import { type DateOrder, readDate } from '../../core/calendar/read-date';
import { unguarded } from '../../core/exchange/unguarded';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { oilsAnswers } from './oils.answers';
import { listBottles } from './oils.repository';
import { bottleErrors } from './save-oils';

const columns = [
  'kind',
  'oil',
  'lot',
  'opened',
  'best_before',
  'size_ml',
  'left_ml',
  'cost',
  'drops_per_ml',
  'note',
] as const;

/** The shelf as CSV: a row a bottle, dates YYYY-MM-DD, amounts in mL, cost in the house's money. */
export async function exportShelf(db: Db): Promise<string> {
  const rows = (await listBottles(db)).map((bottle) => ({
    kind: bottle.kind,
    oil: bottle.oil,
    lot: bottle.lot,
    opened: bottle.openedOn ?? '',
    best_before: bottle.printedOn ?? '',
    size_ml: bottle.sizeMl,
    left_ml: Math.round(bottle.leftMl * 1000) / 1000,
    cost: (bottle.costCents / 100).toFixed(2),
    drops_per_ml: bottle.dropsPerMl ?? '',
    note: bottle.note,
  }));
  return `${Papa.unparse(rows, { columns: [...columns], newline: '\r\n', escapeFormulae: true })}\r\n`;
}

export interface ReadShelf {
  readonly bottles: readonly BottleInput[];
  readonly troubles: readonly { readonly row: number; readonly message: string }[];
}

/**
 * Reads a shelf from CSV; a row that cannot be read is named, the others stand. Rows count as the spreadsheet counts
 * them, the head is row 1; empty ones count and are left aside.
 * @param order of the parts of a date, where a year of four digits does not stand in front
 */
export function readShelf(
  csv: string,
  today: string,
  order: DateOrder,
  check: (row: unknown) => BottleInput | readonly FieldError[],
): ReadShelf {
  const { data, meta } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    transformHeader: (head) => head.trim().toLowerCase(),
  });
  const missing = ['kind', 'oil', 'size_ml'].filter((name) => !(meta.fields ?? []).includes(name));
  if (missing.length > 0)
    return {
      bottles: [],
      troubles: [{ row: 1, message: oilsAnswers.theHeaderRowLacksItMay(missing.join(', '), columns.join(', ')) }],
    };
  const bottles: BottleInput[] = [];
  const troubles: { row: number; message: string }[] = [];
  data.forEach((raw, i) => {
    if (Object.values(raw).every((cell) => typeof cell !== 'string' || cell.trim() === '')) return;
    const row = i + 2;
    const undated = (['opened', 'best_before'] as const).flatMap((name) =>
      dateOf(raw, name, order) === undefined ? [{ path: name, message: oilsAnswers.isNoDate(raw[name] ?? '') }] : [],
    );
    const read = undated.length > 0 ? undated : check(rowOf(raw, order));
    const errors = 'oil' in read ? bottleErrors(read, today) : read;
    if (errors.length === 0 && 'oil' in read) bottles.push(read);
    for (const { path, message } of errors) troubles.push({ row, message: `${path}: ${message}` });
  });
  return { bottles, troubles };
}

type Raw = Readonly<Record<string, string>>;

const cellOf = (raw: Raw, name: (typeof columns)[number]) => unguarded((raw[name] ?? '').trim());

/** @returns YYYY-MM-DD, null for an empty cell, undefined for what is no date */
function dateOf(raw: Raw, name: 'opened' | 'best_before', order: DateOrder): string | null | undefined {
  const text = cellOf(raw, name);
  return text === '' ? null : readDate(text, order);
}

function rowOf(raw: Raw, order: DateOrder): unknown {
  const text = (name: (typeof columns)[number]) => cellOf(raw, name);
  const number = (name: (typeof columns)[number]) => (text(name) === '' ? null : Number(text(name).replace(',', '.')));
  const cost = number('cost');
  const size = number('size_ml');
  return {
    kind: text('kind').toLowerCase(),
    oil: text('oil'),
    lot: text('lot'),
    openedOn: dateOf(raw, 'opened', order),
    printedOn: dateOf(raw, 'best_before', order),
    sizeMl: size,
    leftMl: number('left_ml') ?? size,
    costCents: cost === null ? 0 : Math.round(cost * 100),
    dropsPerMl: number('drops_per_ml'),
    note: text('note'),
  };
}

type Identity = Pick<BottleInput, 'kind' | 'oil' | 'lot' | 'openedOn' | 'printedOn' | 'sizeMl'>;

const identityOf = ({ kind, oil, lot, openedOn, printedOn, sizeMl }: Identity) =>
  [kind, oil, lot, openedOn, printedOn, sizeMl].join('\n');

/**
 * The bottles of a list that the house does not have yet: a list that is read twice changes nothing the second time. How
 * full a bottle is says nothing, it will have been used since; one with a lot or a date stays known when it is empty.
 */
export async function newBottles(db: Db, bottles: readonly BottleInput[]): Promise<readonly BottleInput[]> {
  const known = (await listBottles(db, 'all'))
    .filter(({ state, lot, openedOn, printedOn }) => state === 'in-use' || lot !== '' || openedOn || printedOn)
    .map(identityOf);
  return bottles.filter((bottle) => {
    const at = known.indexOf(identityOf(bottle));
    if (at >= 0) known.splice(at, 1);
    return at < 0;
  });
}
