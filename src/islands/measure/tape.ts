import type { BodyOf } from '../../contracts/routes/asking';
import type { TapingInput } from '../../contracts/record';
import type { TapingView } from '../../contracts/visit-views';
import type { VolumeSettings } from '../../core/swelling/settings';
import { settleTaping, tapingVolume } from '../../core/swelling/taping';
import type { LimbVolume } from '../../core/swelling/limb-volume';
import { plainContext, type TapingContext } from '../../core/swelling/taping-context';
import { fromCm, type LengthUnit } from '../../core/units';
import {
  type Cells,
  cellOf,
  isPassEmpty,
  mapCells,
  numberIn,
  passIn,
  type PassName,
  rereadAs,
  showIn,
  type TapeSide,
} from './tape-cells';

/** Everything of a run that is stored; one value, so that it can be taken back a step. */
export interface Tape {
  readonly cells: Cells;
  readonly unit: LengthUnit;
  readonly context: Omit<TapingContext, 'eight'>;
}

/** The tape as it was stored, or an empty one. */
export function tapeOf(saved: TapingView | undefined, positionsCm: readonly number[], unit: LengthUnit): Tape {
  const from = saved?.unit ?? unit;
  const row = (girths: readonly (number | null)[] | undefined) => positionsCm.map((_, i) => cellOf(girths?.[i], from));
  const pass = (one: TapingView['first'] | null | undefined) => ({
    affected: row(one?.affected),
    reference: row(one?.reference),
  });
  const { eight, ...context } = saved?.context ?? plainContext;
  return {
    cells: {
      first: pass(saved?.first),
      second: pass(saved?.second),
      third: pass(saved?.third),
      eight: { affected: cellOf(eight.affected, from), reference: cellOf(eight.reference, from) },
    },
    unit: from,
    context,
  };
}

const otherUnit = (unit: LengthUnit): LengthUnit => (unit === 'cm' ? 'in' : 'cm');

/** The same girths, shown in the other unit. */
export function inOtherUnit(tape: Tape): Tape {
  const unit = otherUnit(tape.unit);
  return { ...tape, unit, cells: mapCells(tape.cells, (cell) => showIn(cell, unit)) };
}

/** What was taped on one side is what was taped on the other. */
export function swapSides(tape: Tape): Tape {
  const swap = <T>({ affected, reference }: { readonly affected: T; readonly reference: T }) => ({
    affected: reference,
    reference: affected,
  });
  const { first, second, third, eight } = tape.cells;
  return { ...tape, cells: { first: swap(first), second: swap(second), third: swap(third), eight: swap(eight) } };
}

/** A side that was typed in the other unit, read as what it is. */
export function rereadSide(tape: Tape, side: TapeSide): Tape {
  const { cells, unit } = tape;
  const reread = (pass: PassName) => ({
    ...cells[pass],
    [side]: cells[pass][side].map((cell) => rereadAs(cell, otherUnit(unit), unit)),
  });
  return { ...tape, cells: { ...cells, first: reread('first'), second: reread('second'), third: reread('third') } };
}

const repeated = (pass: Cells[PassName], unit: LengthUnit) => (isPassEmpty(pass) ? null : passIn(pass, unit));

export interface TapeReading {
  readonly settled: ReturnType<typeof settleTaping>;
  readonly volume: { readonly value?: LimbVolume; readonly refusal?: string | undefined };
}

/**
 * What the girths come to: where passes differ they are settled, and volumes come of that. Where the other limb cannot
 * be reckoned with, the affected one is reckoned alone and `refusal` says why.
 */
export function readTape(
  { cells, unit }: Pick<Tape, 'cells' | 'unit'>,
  { limb, side, positionsCm }: Pick<TapingInput, 'limb' | 'side'> & { readonly positionsCm: readonly number[] },
  settings: VolumeSettings,
): TapeReading {
  const raw = {
    ...{ limb, side, unit, positions: positionsCm.map((cm) => fromCm(cm, unit)) },
    first: passIn(cells.first, unit),
    second: repeated(cells.second, unit),
    third: repeated(cells.third, unit),
  };
  const settled = settleTaping(raw);
  const input = { ...raw, ...settled };
  const measured = settled.reference.filter((girth) => girth !== null).length;
  const both = measured >= 2 ? tapingVolume(input, settings) : undefined;
  if (both?.ok) return { settled, volume: { value: both.value } };
  const alone = tapingVolume({ ...input, reference: positionsCm.map(() => null) }, settings);
  const volume = alone.ok
    ? { value: alone.value, refusal: both?.ok === false ? both.refusal.message : undefined }
    : { refusal: alone.refusal.message };
  return { settled, volume };
}

/** The tape as the server takes it: `TapingInput`. */
export function toTapingInput(
  { cells, unit, context }: Tape,
  {
    positionsCm,
    ...fields
  }: Pick<TapingInput, 'phase' | 'limb' | 'side' | 'protocol' | 'method' | 'source'> & {
    readonly positionsCm: readonly number[];
  },
): Omit<BodyOf<'POST /api/visits/{id}/taping'>, 'basedOn'> {
  const { affected, reference } = cells.eight;
  return {
    ...fields,
    unit,
    positions: positionsCm.map((cm) => fromCm(cm, unit)),
    ...passIn(cells.first, unit),
    second: repeated(cells.second, unit),
    third: repeated(cells.third, unit),
    context: {
      ...context,
      eight: { affected: numberIn(affected.typed, unit), reference: numberIn(reference.typed, unit) },
    },
  };
}
