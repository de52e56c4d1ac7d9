import { useCallback, useMemo, useRef, useState } from 'react';
import { tapeProtocols } from '../../catalogue/tape-protocols';
import type { TapingView, VisitView } from '../../contracts/views';
import { limbVolume } from '../../core/swelling/limb-volume';
import { fromCm, type LengthUnit, roundTo, toCm } from '../../core/units';
import { RequestError, send } from '../api';

export type TapeSide = 'affected' | 'reference';
export interface CellAddress {
  readonly side: TapeSide;
  readonly index: number;
}
export type SaveState = 'kept' | 'saving' | 'waiting' | 'conflict';

/** What a cell holds: the text as typed, and the girth that it means. */
interface Cell {
  readonly text: string;
  readonly error?: string | undefined;
}

/** Reads one typed girth; a decimal comma is a point, an empty cell is “not measured”. */
export function readGirth(text: string, unit: LengthUnit): { readonly value: number | null } | { readonly error: string } {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '') return { value: null };
  if (!/^\d*\.?\d+$|^\d+\.$/.test(trimmed)) return { error: 'Type a number, such as 42.6.' };
  const value = Number(trimmed);
  if (value === 0) return { error: 'A girth is more than 0. Leave it empty if it was not taken.' };
  if (toCm(value, unit) >= 400) return { error: `No limb measures ${trimmed} ${unit}: check the decimal point.` };
  return { value };
}

/**
 * The tape run of one phase of a visit. Every value is kept as it is typed: on the device at once, on the server as soon as
 * it answers. Positions are those of the protocol, in cm; girths are kept as typed, in the unit at hand.
 */
export function useTapeRun(visit: VisitView, phase: 'before' | 'after', limb: 'arm' | 'leg', side: 'left' | 'right') {
  const saved = phase === 'before' ? visit.before : visit.after;
  const positionsCm = saved && saved.limb === limb ? savedPositionsCm(saved) : tapeProtocols[limb].positionsCm;
  const [unit, setUnit] = useState<LengthUnit>(saved?.unit ?? 'cm');
  const [cells, setCells] = useState<Record<TapeSide, readonly Cell[]>>(() => ({
    affected: positionsCm.map((_, i) => ({ text: textOf(saved?.affected[i]) })),
    reference: positionsCm.map((_, i) => ({ text: textOf(saved?.reference[i]) })),
  }));
  const [saveState, setSaveState] = useState<SaveState>('kept');
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(saved?.version ?? 0);
  const queue = useRef<Promise<void>>(Promise.resolve());

  const girths = useMemo(() => {
    const of = (which: TapeSide) =>
      cells[which].map((cell) => {
        const read = readGirth(cell.text, unit);
        return 'value' in read ? read.value : null;
      });
    return { affected: of('affected'), reference: of('reference') };
  }, [cells, unit]);

  const volume = useMemo(() => {
    const positions = positionsCm.map((cm) => fromCm(cm, unit));
    const common = { limb, unit, method: 'frustum', positions, affected: girths.affected, dominant: 'none', dominanceCorrectionPercent: 0, tapeSigmaCm: 0.2 } as const;
    const measured = girths.reference.filter((girth) => girth !== null).length;
    const both = measured >= 2 ? limbVolume({ ...common, reference: girths.reference }) : undefined;
    if (both?.ok) return { value: both.value };
    const alone = limbVolume({ ...common, reference: null });
    return alone.ok ? { value: alone.value, refusal: both?.ok === false ? both.refusal.message : undefined } : { refusal: alone.refusal.message };
  }, [girths, limb, positionsCm, unit]);

  const save = useCallback(
    (next: Record<TapeSide, readonly Cell[]>, inUnit: LengthUnit) => {
      const values = (which: TapeSide) =>
        next[which].map((cell) => {
          const read = readGirth(cell.text, inUnit);
          return 'value' in read ? read.value : null;
        });
      const body = { limb, side, phase, unit: inUnit, method: 'frustum', positions: positionsCm.map((cm) => fromCm(cm, inUnit)), affected: values('affected'), reference: values('reference') };
      setSaveState('saving');
      queue.current = queue.current.then(async () => {
        try {
          const { taping } = await send<{ taping: TapingView }>('POST', `/api/visits/${visit.id}/taping`, { ...body, basedOn: version.current });
          version.current = taping.version;
          setSaveState('kept');
          setTrouble(undefined);
        } catch (error) {
          setSaveState(error instanceof RequestError && error.status === 409 ? 'conflict' : 'waiting');
          setTrouble(error instanceof Error ? error.message : 'Not saved yet.');
        }
      });
    },
    [limb, phase, positionsCm, side, visit.id],
  );

  /** Takes a typed value. @returns whether it was taken; otherwise the cell says why not */
  const commit = (address: CellAddress, text: string): boolean => {
    const read = readGirth(text, unit);
    const error = 'error' in read ? read.error : undefined;
    const cell: Cell = { text: text.trim().replace(',', '.'), error };
    const next = { ...cells, [address.side]: cells[address.side].map((old, i) => (i === address.index ? cell : old)) };
    const isSame = cells[address.side][address.index]?.text === cell.text;
    setCells(next);
    if (!error && !isSame) save(next, unit);
    return !error;
  };

  const switchUnit = () => {
    const next: LengthUnit = unit === 'cm' ? 'in' : 'cm';
    const convert = (cell: Cell): Cell => {
      const read = readGirth(cell.text, unit);
      return 'value' in read && read.value !== null ? { text: String(roundTo(fromCm(toCm(read.value, unit), next), next === 'in' ? 2 : 1)) } : { text: cell.text };
    };
    const isEmpty = [...cells.affected, ...cells.reference].every((cell) => cell.text === '');
    setUnit(next);
    if (!isEmpty) {
      const converted = { affected: cells.affected.map(convert), reference: cells.reference.map(convert) };
      setCells(converted);
      save(converted, next);
    }
  };

  return { positionsCm, unit, switchUnit, cells, girths, volume, commit, saveState, trouble, retry: () => save(cells, unit) };
}

function textOf(girth: number | null | undefined): string {
  return girth === null || girth === undefined ? '' : String(girth);
}

function savedPositionsCm(taping: TapingView): readonly number[] {
  return taping.positions.map((x) => roundTo(toCm(x, taping.unit), 6));
}
