import { measureWords } from './measure.words';
import { readLength } from '../../core/swelling/read-length';
import type { Pass } from '../../core/swelling/taping';
import { fromCm, type LengthUnit, roundTo, toCm } from '../../core/units';

export type TapeSide = 'affected' | 'reference';
export const passNames = ['first', 'second', 'third'] as const;
export type PassName = (typeof passNames)[number];

/** A girth as it was typed: its number and the unit that it was typed in, never converted before computing. */
export interface Typed {
  readonly value: number;
  readonly unit: LengthUnit;
}

/** What a cell holds: the text as it stands there, and the girth that it means. */
export interface Cell {
  readonly text: string;
  readonly typed: Typed | null;
  readonly error?: string | undefined;
}

export const emptyCell: Cell = { text: '', typed: null };

export type Sides<T> = Readonly<Record<TapeSide, T>>;
export type Cells = Readonly<Record<PassName, Sides<readonly Cell[]>>> & { readonly eight: Sides<Cell> };

/** One cell of the run; `eight` is the figure-of-eight that belongs to the side. */
export interface CellAddress {
  readonly pass: PassName;
  readonly side: TapeSide;
  readonly index: number | 'eight';
}

const longestCm = 400;

/** Reads one typed girth; a decimal comma is a point, an empty cell is “not measured”, a unit written with it counts. */
export function readGirth(text: string, unit: LengthUnit): Typed | null | { readonly error: string } {
  const read = readLength(text);
  if (read.kind === 'empty') return null;
  if (read.kind === 'zero') return { error: measureWords.aGirthIsMoreThanLeave };
  if (read.kind === 'unreadable') return { error: measureWords.typeANumberSuchAs };
  const typed = { value: read.value, unit: read.unit ?? unit };
  if (toCm(typed.value, typed.unit) >= longestCm)
    return { error: measureWords.noLimbMeasuresCheckTheDecimal(read.value, typed.unit) };
  return typed;
}

/** A cell from what was typed. */
export function toCell(text: string, unit: LengthUnit): Cell {
  const read = readGirth(text, unit);
  if (read && 'error' in read) return { text: text.trim(), typed: null, error: read.error };
  return { text: textOf(read, unit), typed: read };
}

/** The number of a cell in a unit: as typed where the units agree, else converted in full precision. */
export function numberIn(typed: Typed | null, unit: LengthUnit): number | null {
  if (typed === null) return null;
  return typed.unit === unit ? typed.value : fromCm(toCm(typed.value, typed.unit), unit);
}

/** At least one decimal (two in inches), more if more were typed: a column of girths lines up. */
function textOf(typed: Typed | null, unit: LengthUnit): string {
  const value = numberIn(typed, unit);
  if (value === null) return '';
  const usual = unit === 'in' ? 2 : 1;
  const shown = typed?.unit === unit && String(value).length <= 8 ? value : roundTo(value, usual);
  return shown.toFixed(Math.max(usual, String(shown).split('.')[1]?.length ?? 0));
}

/** The same cell, shown in another unit; what was typed stays what it is. */
export const showIn = (cell: Cell, unit: LengthUnit): Cell =>
  cell.typed === null ? cell : { text: textOf(cell.typed, unit), typed: cell.typed };

/** The same digits, read in the other unit: for a side that was typed in the wrong one. */
export const rereadAs = (cell: Cell, typedUnit: LengthUnit, shownIn: LengthUnit): Cell => {
  if (cell.typed === null) return cell;
  const typed = { value: cell.typed.value, unit: typedUnit };
  return { text: textOf(typed, shownIn), typed };
};

export const cellOf = (girth: number | null | undefined, unit: LengthUnit): Cell => {
  const typed = girth === null || girth === undefined ? null : { value: girth, unit };
  return { text: textOf(typed, unit), typed };
};

export const mapCells = (cells: Cells, change: (cell: Cell) => Cell): Cells => {
  const both = (sides: Sides<readonly Cell[]>) => ({
    affected: sides.affected.map(change),
    reference: sides.reference.map(change),
  });
  return {
    first: both(cells.first),
    second: both(cells.second),
    third: both(cells.third),
    eight: { affected: change(cells.eight.affected), reference: change(cells.eight.reference) },
  };
};

export function cellAt(cells: Cells, { pass, side, index }: CellAddress): Cell {
  return (index === 'eight' ? cells.eight[side] : cells[pass][side][index]) ?? emptyCell;
}

export function withCell(cells: Cells, { pass, side, index }: CellAddress, cell: Cell): Cells {
  if (index === 'eight') return { ...cells, eight: { ...cells.eight, [side]: cell } };
  const row = cells[pass][side].map((old, i) => (i === index ? cell : old));
  return { ...cells, [pass]: { ...cells[pass], [side]: row } };
}

/** One pass as numbers in a unit. */
export const passIn = (sides: Sides<readonly Cell[]>, unit: LengthUnit): Pass => ({
  affected: sides.affected.map((cell) => numberIn(cell.typed, unit)),
  reference: sides.reference.map((cell) => numberIn(cell.typed, unit)),
});

export const isPassEmpty = (sides: Sides<readonly Cell[]>) =>
  [...sides.affected, ...sides.reference].every((cell) => cell.typed === null);
