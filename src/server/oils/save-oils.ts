import Papa from 'papaparse';
import { oilBook } from '../../catalogue/oils/oils';
import type { BottleInput } from '../../contracts/oil-house';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { insertBottle, insertDraw, listBottles, updateBottle } from './oils.repository';
import { insertAudit } from '../house/audit.repository';
import { isoDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { oilsAnswers } from './oils.answers';

type Saved = { readonly kind: 'saved'; readonly id: number } | SaveRefusal;

/** What is wrong with a bottle beyond the shape of its fields. */
function bottleErrors(input: BottleInput, today: string): readonly FieldError[] {
  const isKnown = input.kind === 'essential' ? oilBook.oils.has(input.oil) : oilBook.carriers.has(input.oil);
  const what = input.kind === 'essential' ? 'oil' : 'carrier';
  return [
    ...(isKnown ? [] : [{ path: 'oil', message: oilsAnswers.thereIsNoInTheCatalogue(what, input.oil) }]),
    ...(input.openedOn !== null && input.openedOn > today
      ? [{ path: 'openedOn', message: oilsAnswers.itCannotHaveBeenOpenedIn }]
      : []),
  ];
}

export async function addBottle(db: Db, input: BottleInput, actor: Actor): Promise<Saved> {
  const errors = bottleErrors(input, isoDay(actor.now.toISOString()));
  if (errors.length > 0) return { kind: 'refused', errors };
  return { kind: 'saved', id: await insertBottle(db, input, actor.now.toISOString()) };
}

/** Changes a bottle. What is counted differently, or thrown away, is on record with the difference. */
export async function changeBottle(db: Db, id: number, input: BottleInput, actor: Actor): Promise<Saved> {
  const errors = bottleErrors(input, isoDay(actor.now.toISOString()));
  if (errors.length > 0) return { kind: 'refused', errors };
  const now = actor.now.toISOString();
  const by = { mixId: null, therapistId: actor.therapistId, now };
  return db.transaction().execute(async (trx) => {
    const before = (await listBottles(trx, 'all')).find((bottle) => bottle.id === id);
    if (!before) return { kind: 'not-found' } as const;
    const isThrown = input.state === 'discarded' && before.state !== 'discarded';
    await updateBottle(trx, id, isThrown ? { ...input, leftMl: 0 } : input);
    const gone = before.leftMl - (isThrown ? 0 : input.leftMl);
    if (Math.abs(gone) > 1e-9)
      await insertDraw(trx, { bottle: id, ml: gone }, isThrown ? 'discarded' : 'corrected', by);
    if (isThrown)
      await insertAudit(trx, {
        at: now,
        by: actor.therapistId,
        action: 'bottle discarded',
        subject: `bottle ${id}`,
        detail: input.oil,
      });
    return { kind: 'saved', id } as const;
  });
}

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

/** Reads a shelf from CSV; a row that cannot be read is named, the others stand. Rows count from 2, below the head. */
export function readShelf(
  csv: string,
  today: string,
  check: (row: unknown) => BottleInput | readonly FieldError[],
): ReadShelf {
  const { data, meta } = Papa.parse<Record<string, string>>(csv.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
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
    const row = i + 2;
    const read = check(rowOf(raw));
    const errors = 'oil' in read ? bottleErrors(read, today) : read;
    if (errors.length === 0 && 'oil' in read) bottles.push(read);
    for (const { path, message } of errors) troubles.push({ row, message: `${path}: ${message}` });
  });
  return { bottles, troubles };
}

function rowOf(raw: Record<string, string>): unknown {
  const text = (name: (typeof columns)[number]) => (raw[name] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const number = (name: (typeof columns)[number]) => (text(name) === '' ? null : Number(text(name).replace(',', '.')));
  const cost = number('cost');
  const size = number('size_ml');
  return {
    kind: text('kind').toLowerCase(),
    oil: text('oil'),
    lot: text('lot'),
    openedOn: text('opened') || null,
    printedOn: text('best_before') || null,
    sizeMl: size,
    leftMl: number('left_ml') ?? size,
    costCents: cost === null ? 0 : Math.round(cost * 100),
    dropsPerMl: number('drops_per_ml'),
    note: text('note'),
  };
}

/** Adds all bottles of a read shelf at once, or none. */
export async function addShelf(db: Db, bottles: readonly BottleInput[], actor: Actor): Promise<void> {
  const now = actor.now.toISOString();
  await db.transaction().execute(async (trx) => {
    for (const bottle of bottles) await insertBottle(trx, bottle, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'shelf imported',
      subject: 'house',
      detail: `${bottles.length} bottles`,
    });
  });
}
