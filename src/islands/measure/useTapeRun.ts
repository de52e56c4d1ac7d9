import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
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

/** What has been typed and not answered for by the server yet. */
interface TapeDraft {
  readonly texts: Record<TapeSide, readonly string[]>;
  readonly unit: LengthUnit;
  readonly basedOn: number;
}

function keepDraft(key: string, draft: TapeDraft): void {
  localStorage.setItem(key, JSON.stringify(draft));
}

function dropDraft(key: string): void {
  localStorage.removeItem(key);
}

function readDraft(key: string): TapeDraft | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as TapeDraft | null) ?? undefined;
  } catch {
    return undefined;
  }
}

/** Reads one typed girth; a decimal comma is a point, an empty cell is “not measured”. */
export function readGirth(
  text: string,
  unit: LengthUnit,
): { readonly value: number | null } | { readonly error: string } {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '') return { value: null };
  if (!/^\d*\.?\d+$|^\d+\.$/.test(trimmed)) return { error: 'Type a number, such as 42.6.' };
  const value = Number(trimmed);
  if (value === 0) return { error: 'A girth is more than 0. Leave it empty if it was not taken.' };
  if (toCm(value, unit) >= 400) return { error: `No limb measures ${trimmed} ${unit}: check the decimal point.` };
  return { value };
}

/** Girths as far as they can be read; what cannot is not measured yet. */
function girthsOf(texts: readonly string[], unit: LengthUnit): (number | null)[] {
  return texts.map((text) => {
    const read = readGirth(text, unit);
    return 'value' in read ? read.value : null;
  });
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
    affected: positionsCm.map((_, i) => ({ text: textOf(saved?.affected[i], saved?.unit ?? 'cm') })),
    reference: positionsCm.map((_, i) => ({ text: textOf(saved?.reference[i], saved?.unit ?? 'cm') })),
  }));
  const [saveState, setSaveState] = useState<SaveState>('kept');
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(saved?.version ?? 0);
  const latest = useRef(cells);
  const unsent = useRef<TapeDraft>(undefined);
  const isSending = useRef(false);
  const draftKey = `tape-${visit.id}-${phase}-${limb}-${side}`;

  const girths = useMemo(() => {
    const of = (which: TapeSide) =>
      girthsOf(
        cells[which].map((cell) => cell.text),
        unit,
      );
    return { affected: of('affected'), reference: of('reference') };
  }, [cells, unit]);

  const volume = useMemo(() => {
    const positions = positionsCm.map((cm) => fromCm(cm, unit));
    const common = {
      limb,
      unit,
      method: 'frustum',
      positions,
      affected: girths.affected,
      dominant: 'none',
      dominanceCorrectionPercent: 0,
      tapeSigmaCm: 0.2,
    } as const;
    const measured = girths.reference.filter((girth) => girth !== null).length;
    const both = measured >= 2 ? limbVolume({ ...common, reference: girths.reference }) : undefined;
    if (both?.ok) return { value: both.value };
    const alone = limbVolume({ ...common, reference: null });
    return alone.ok
      ? { value: alone.value, refusal: both?.ok === false ? both.refusal.message : undefined }
      : { refusal: alone.refusal.message };
  }, [girths, limb, positionsCm, unit]);

  /** Sends the newest state; what is typed while a send is under way goes with the next one. */
  const flush = useCallback(async (): Promise<void> => {
    if (isSending.current) return;
    isSending.current = true;
    setSaveState('saving');
    try {
      while (unsent.current) {
        const sending: TapeDraft = unsent.current;
        const { taping } = await send<{ taping: TapingView }>('POST', `/api/visits/${visit.id}/taping`, {
          limb,
          side,
          phase,
          method: 'frustum',
          unit: sending.unit,
          positions: positionsCm.map((cm) => fromCm(cm, sending.unit)),
          affected: girthsOf(sending.texts.affected, sending.unit),
          reference: girthsOf(sending.texts.reference, sending.unit),
          basedOn: version.current,
        });
        version.current = taping.version;
        if (unsent.current === sending) unsent.current = undefined;
      }
      dropDraft(draftKey);
      setSaveState('kept');
      setTrouble(undefined);
    } catch (error) {
      setSaveState(error instanceof RequestError && error.status === 409 ? 'conflict' : 'waiting');
      setTrouble(error instanceof Error ? error.message : 'Not saved yet.');
    } finally {
      isSending.current = false;
    }
  }, [draftKey, limb, phase, positionsCm, side, visit.id]);

  const save = useCallback(
    (next: Record<TapeSide, readonly Cell[]>, inUnit: LengthUnit) => {
      const texts = {
        affected: next.affected.map((cell) => cell.text),
        reference: next.reference.map((cell) => cell.text),
      };
      unsent.current = { texts, unit: inUnit, basedOn: version.current };
      keepDraft(draftKey, unsent.current);
      void flush();
    },
    [draftKey, flush],
  );

  useEffect(() => {
    const draft = readDraft(draftKey);
    if (!draft || draft.basedOn !== version.current || draft.texts.affected.length !== positionsCm.length) return;
    const restored = {
      affected: draft.texts.affected.map((text) => ({ text })),
      reference: draft.texts.reference.map((text) => ({ text })),
    };
    latest.current = restored;
    setCells(restored);
    setUnit(draft.unit);
    save(restored, draft.unit);
    // Only what an earlier page left behind is restored, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  /** Takes a typed value. @returns whether it was taken; otherwise the cell says why not */
  const commit = (address: CellAddress, text: string): boolean => {
    const read = readGirth(text, unit);
    const error = 'error' in read ? read.error : undefined;
    const cell: Cell = { text: 'value' in read && read.value !== null ? asTyped(text, unit) : text.trim(), error };
    const current = latest.current;
    const next = {
      ...current,
      [address.side]: current[address.side].map((old, i) => (i === address.index ? cell : old)),
    };
    const isSame = current[address.side][address.index]?.text === cell.text;
    latest.current = next;
    setCells(next);
    if (!error && !isSame) save(next, unit);
    return !error;
  };

  const switchUnit = () => {
    const next: LengthUnit = unit === 'cm' ? 'in' : 'cm';
    const convert = (cell: Cell): Cell => {
      const read = readGirth(cell.text, unit);
      return 'value' in read && read.value !== null
        ? { text: asTyped(String(roundTo(fromCm(toCm(read.value, unit), next), next === 'in' ? 2 : 1)), next) }
        : { text: cell.text };
    };
    const isEmpty = [...cells.affected, ...cells.reference].every((cell) => cell.text === '');
    setUnit(next);
    if (!isEmpty) {
      const converted = { affected: cells.affected.map(convert), reference: cells.reference.map(convert) };
      latest.current = converted;
      setCells(converted);
      save(converted, next);
    }
  };

  return {
    positionsCm,
    unit,
    switchUnit,
    cells,
    girths,
    volume,
    commit,
    saveState,
    trouble,
    retry: () => void flush(),
  };
}

/** At least one decimal (two in inches), more if more were typed: a column of girths lines up. */
function asTyped(text: string, unit: LengthUnit): string {
  const value = text.trim().replace(',', '.');
  const typed = value.split('.')[1]?.length ?? 0;
  return Number(value).toFixed(Math.max(typed, unit === 'in' ? 2 : 1));
}

function textOf(girth: number | null | undefined, unit: LengthUnit): string {
  return girth === null || girth === undefined ? '' : asTyped(String(girth), unit);
}

function savedPositionsCm(taping: TapingView): readonly number[] {
  return taping.positions.map((x) => roundTo(toCm(x, taping.unit), 6));
}
