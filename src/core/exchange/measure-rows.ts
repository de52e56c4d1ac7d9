import type { Limb } from '../swelling/entry-checks';
import { readLength } from '../swelling/read-length';
import type { TapingPhase } from '../swelling/taping-context';
import { type LengthUnit, roundTo, toCm } from '../units';
import { type DateOrder, readDate } from '../calendar/read-date';
import { exchangeSays } from './exchange.says';
import { unguarded } from './unguarded';

/** What a column of a table of girths may hold. A row holds one girth, or all girths of one side. */
export const columnRoles = [
  ...(['client', 'born', 'date', 'phase', 'limb', 'side', 'swollen', 'point', 'girth'] as const),
  ...(['first', 'second', 'third', 'unit'] as const),
] as const;
export type ColumnRole = (typeof columnRoles)[number];

/** How a table is read. */
export interface ColumnPlan {
  /** Role → index of its column, from 0. */
  readonly columns: Readonly<Partial<Record<ColumnRole, number>>>;
  /** Columns that each hold the girths of one point: index and the point (in `unit`). Empty: a row holds one girth. */
  readonly pointColumns: readonly { readonly index: number; readonly point: number }[];
  readonly unit: LengthUnit;
  readonly dateOrder: DateOrder;
  /** For tables that do not say it. */
  readonly limb: Limb | null;
  readonly phase: TapingPhase;
}

/** One girth of the table. */
export interface GirthReading {
  readonly client: string;
  readonly born: string | null;
  readonly date: string;
  readonly phase: TapingPhase;
  readonly limb: Limb;
  readonly side: 'left' | 'right';
  readonly pointCm: number;
  /** The first reading where the table tells readings apart. */
  readonly girthCm: number | null;
  readonly secondCm: number | null;
  readonly thirdCm: number | null;
  /** Whether this side is the swollen one; null where the table does not say. */
  readonly isSwollen: boolean | null;
}

export interface RowTrouble {
  /** Counted as the spreadsheet counts: the head is row 1. */
  readonly row: number;
  readonly column: string;
  readonly message: string;
}

export type RowResult =
  | { readonly ok: true; readonly readings: readonly GirthReading[] }
  | { readonly ok: false; readonly trouble: Omit<RowTrouble, 'row'> };

const words: Readonly<Record<ColumnRole, readonly string[]>> = {
  client: ['client', 'name', 'guest', 'person'],
  born: ['born', 'birth', 'birthday', 'date of birth'],
  date: ['date', 'day', 'taken', 'measured on'],
  phase: ['phase', 'when', 'before/after'],
  limb: ['limb', 'arm/leg', 'extremity', 'part'],
  side: ['side', 'left/right'],
  swollen: ['swollen', 'affected'],
  point: ['point', 'position', 'point cm', 'point in', 'mark', 'distance', 'height'],
  girth: ['girth', 'girth cm', 'girth in', 'circumference', 'value', 'cm'],
  first: ['first reading', '1st reading', 'reading 1'],
  second: ['second reading', '2nd reading', 'reading 2'],
  third: ['third reading', '3rd reading', 'reading 3'],
  unit: ['unit', 'units'],
};

/** Finds what each column holds by its head, and points that are heads themselves, such as `4 cm`. */
export function guessColumns(
  head: readonly string[],
): Pick<ColumnPlan, 'columns' | 'pointColumns'> & { readonly unit: LengthUnit | undefined } {
  const plain = head.map((text) =>
    text
      .trim()
      .toLowerCase()
      .replace(/[()[\]_]/g, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  const columns: Partial<Record<ColumnRole, number>> = {};
  for (const role of columnRoles) {
    const exact = plain.findIndex((text) => words[role].includes(text));
    const near = plain.findIndex(
      (text, i) => words[role].some((word) => text.startsWith(word)) && !isTaken(columns, i),
    );
    const at = exact >= 0 && !isTaken(columns, exact) ? exact : near;
    if (at >= 0) columns[role] = at;
  }
  const pointColumns = plain.flatMap((text, index) => {
    const read = readLength(text);
    const isPoint = (read.kind === 'length' || read.kind === 'zero') && !isTaken(columns, index);
    return isPoint ? [{ index, point: read.kind === 'length' ? read.value : 0 }] : [];
  });
  const isInches = plain.some((text) => /\b(in|inch|inches)\b/.test(text));
  const isCm = plain.some((text) => /\bcm\b/.test(text));
  return { columns, pointColumns, unit: isInches && !isCm ? 'in' : isCm ? 'cm' : undefined };
}

const isTaken = (columns: Partial<Record<ColumnRole, number>>, index: number) => Object.values(columns).includes(index);

/** What a plan lacks before a table can be read, in words; empty when nothing. */
export function missingInPlan(plan: ColumnPlan, isClientKnown: boolean): readonly string[] {
  const has = (role: ColumnRole) => plan.columns[role] !== undefined;
  return [
    isClientKnown || has('client') ? '' : exchangeSays.whichColumnNamesTheClient,
    has('date') ? '' : exchangeSays.whichColumnHoldsTheDate,
    has('limb') || plan.limb ? '' : exchangeSays.whetherTheseAreArmsOrLegs,
    has('side') ? '' : exchangeSays.whichColumnTellsLeftFromRight,
    plan.pointColumns.length > 0 || (has('point') && (has('girth') || has('first')))
      ? ''
      : exchangeSays.whichColumnsHoldThePointsAnd,
  ].filter(Boolean);
}

const longestCm = 400;
const furthestCm = 120;
const phases: Readonly<Record<string, TapingPhase>> = {
  baseline: 'baseline',
  before: 'before',
  pre: 'before',
  after: 'after',
  post: 'after',
  'follow-up': 'follow-up',
  follow: 'follow-up',
};

/** Reads one row. An empty girth is “not measured”; a row without any is left aside without a word. */
export function readRow(row: readonly string[], plan: ColumnPlan, head: readonly string[]): RowResult {
  const text = (role: ColumnRole) => {
    const index = plan.columns[role];
    return index === undefined ? '' : (row[index] ?? '').trim();
  };
  const nameOf = (role: ColumnRole) => head[plan.columns[role] ?? -1] ?? role;
  const fail = (role: ColumnRole, message: string): RowResult => ({
    ok: false,
    trouble: { column: nameOf(role), message },
  });
  const date = readDate(text('date'), plan.dateOrder);
  if (date === undefined) return fail('date', exchangeSays.isNoDateInTheOrder(text('date'), plan.dateOrder));
  const born = text('born') === '' ? null : readDate(text('born'), plan.dateOrder);
  if (born === undefined) return fail('born', exchangeSays.isNoDate(text('born')));
  const limb = text('limb') === '' ? plan.limb : limbOf(text('limb'));
  if (!limb) return fail('limb', exchangeSays.isNeitherArmNorLeg(text('limb')));
  const side = sideOf(text('side'));
  if (!side) return fail('side', exchangeSays.isNeitherLeftNorRight(text('side')));
  const phase = text('phase') === '' ? plan.phase : phases[text('phase').toLowerCase()];
  if (!phase) return fail('phase', exchangeSays.isNoneOfBeforeAfterBaseline(text('phase')));
  const unit = text('unit') === '' ? plan.unit : unitOf(text('unit'));
  if (!unit) return fail('unit', exchangeSays.isNeitherCmNorIn(text('unit')));

  const swollen = swollenOf(text('swollen'));
  if (swollen === undefined) return fail('swollen', exchangeSays.isNeitherYesNorNo(text('swollen')));

  // Beside a first reading, the girth is what a table makes of all of them: made here again, and counted where there are none.
  const hasReadings = (['first', 'second', 'third'] as const).some((role) => text(role) !== '');
  const isMadeOfThem = plan.columns.first !== undefined && hasReadings;
  const roles = [isMadeOfThem ? 'first' : 'girth', 'second', 'third'] as const;
  const cells: readonly Cell[] =
    plan.pointColumns.length > 0
      ? plan.pointColumns.map(({ index, point }) => ({
          pointCm: toCm(point, plan.unit),
          readings: [{ column: head[index] ?? '', text: row[index] ?? '' }],
        }))
      : [
          {
            pointCm: pointOf(text('point'), unit),
            readings: roles.map((role) => ({ column: nameOf(role), text: text(role) })),
          },
        ];
  const found: GirthReading[] = [];
  for (const { pointCm, readings } of cells) {
    if (pointCm === undefined || pointCm > furthestCm)
      return fail('point', exchangeSays.isNoPointBetween0And(text('point'), furthestCm));
    const girthsCm: (number | null)[] = [];
    for (const reading of readings) {
      const read = readGirth(reading.text, unit, limb);
      if (typeof read === 'string') return { ok: false, trouble: { column: reading.column, message: read } };
      girthsCm.push(read);
    }
    if (girthsCm.every((girth) => girth === null)) continue;
    const [girthCm = null, secondCm = null, thirdCm = null] = girthsCm;
    found.push({
      client: unguarded(text('client')),
      ...{ born, date, phase, limb, side },
      pointCm: roundTo(pointCm, 2),
      ...{ girthCm, secondCm, thirdCm, isSwollen: swollen },
    });
  }
  return { ok: true, readings: found };
}

/** What one row holds of one point. */
interface Cell {
  readonly pointCm: number | undefined;
  readonly readings: readonly { readonly column: string; readonly text: string }[];
}

/** @returns the girth (cm), null where none was taken, or what is wrong with it */
function readGirth(text: string, unit: LengthUnit, limb: Limb): number | null | string {
  const read = readLength(text);
  if (read.kind === 'empty') return null;
  const girthCm = read.kind === 'length' ? toCm(read.value, read.unit ?? unit) : NaN;
  if (!(girthCm > 0)) return exchangeSays.isNotAGirth(text.trim());
  return girthCm >= longestCm ? exchangeSays.noMeasuresCheckTheUnit(limb, text.trim()) : roundTo(girthCm, 6);
}

const swollenOf = (text: string): boolean | null | undefined =>
  text === ''
    ? null
    : /^(yes|y|true|1|x|ja)$/i.test(text)
      ? true
      : /^(no|n|false|0|nein)$/i.test(text)
        ? false
        : undefined;

const limbOf = (text: string): Limb | undefined =>
  /^arm|^upper/i.test(text) ? 'arm' : /^leg|^lower/i.test(text) ? 'leg' : undefined;
const sideOf = (text: string) =>
  /^(l|left)$/i.test(text) ? ('left' as const) : /^(r|right)$/i.test(text) ? ('right' as const) : undefined;
const unitOf = (text: string): LengthUnit | undefined =>
  /^cm$/i.test(text) ? 'cm' : /^(in|inch|inches|")$/i.test(text) ? 'in' : undefined;

function pointOf(text: string, unit: LengthUnit): number | undefined {
  const read = readLength(text);
  if (read.kind === 'zero') return 0;
  return read.kind === 'length' ? toCm(read.value, read.unit ?? unit) : undefined;
}
