import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { TapingInput } from '../../contracts/record';
import type { FlagView, MeasureView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import type { TapeProtocol } from '../../core/swelling/protocol';
import { volumeSettings } from '../../core/swelling/settings';
import { settleTaping, tapingVolume } from '../../core/swelling/taping';
import { plainContext, type TapingContext } from '../../core/swelling/taping-context';
import { fromCm, type LengthUnit, roundTo, toCm } from '../../core/units';
import { RequestError, send } from '../api';
import { type Doubt, doubtsOf } from './doubts';
import {
  type CellAddress,
  type Cells,
  cellAt,
  cellOf,
  emptyCell,
  isPassEmpty,
  mapCells,
  numberIn,
  passIn,
  type PassName,
  rereadAs,
  showIn,
  toCell,
  type TapeSide,
  withCell,
} from './tape-cells';

export type SaveState = 'kept' | 'saving' | 'waiting' | 'conflict';

export interface RunWish {
  readonly view: MeasureView;
  readonly phase: 'before' | 'after';
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly protocol: TapeProtocol;
  readonly onFlags: (flags: readonly FlagView[]) => void;
}

/** Everything of a run that is stored; one value, so that it can be taken back a step. */
interface Tape {
  readonly cells: Cells;
  readonly unit: LengthUnit;
  readonly context: Omit<TapingContext, 'eight'>;
}

interface Draft {
  readonly tape: Tape;
  readonly basedOn: number;
}

const mostSteps = 200;

function readDraft(key: string): Draft | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as Draft | null) ?? undefined;
  } catch {
    return undefined;
  }
}

function tapeOf(saved: TapingView | undefined, positionsCm: readonly number[], unit: LengthUnit): Tape {
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

/**
 * The tape run of one limb in one phase of a visit. Every value is kept as it is typed: on the device at once, on the
 * server as soon as it answers, each with the unit that it was typed in. Points are those of the protocol, in cm.
 */
export function useTapeRun({ view, phase, limb, side, protocol, onFlags }: RunWish) {
  const { visit, house, client } = view;
  const saved = view.tapings.find((one) => one.phase === phase && one.limb === limb);
  const positionsCm = useMemo(
    () => saved?.positions.map((x) => roundTo(toCm(x, saved.unit), 6)) ?? protocol.positionsCm,
    [protocol, saved],
  );
  const [tape, setTape] = useState<Tape>(() => tapeOf(saved, positionsCm, client.unit ?? house.unit));
  const [past, setPast] = useState<readonly Tape[]>([]);
  const [saveState, setSaveState] = useState<SaveState>('kept');
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(saved?.version ?? 0);
  const latest = useRef(tape);
  const source = useRef<'typed' | 'tape'>('typed');
  const unsent = useRef<Tape>(undefined);
  const isSending = useRef(false);
  const draftKey = `tape-${visit.id}-${phase}-${limb}-${side}`;
  const { cells, unit, context } = tape;
  const settings = useMemo(() => volumeSettings(house, client), [client, house]);
  const last = useMemo(() => comparedWith(view, phase, limb, side), [limb, phase, side, view]);

  const raw = useMemo(
    () => ({
      limb,
      side,
      unit,
      positions: positionsCm.map((cm) => fromCm(cm, unit)),
      first: passIn(cells.first, unit),
      second: isPassEmpty(cells.second) ? null : passIn(cells.second, unit),
      third: isPassEmpty(cells.third) ? null : passIn(cells.third, unit),
    }),
    [cells, limb, positionsCm, side, unit],
  );
  const settled = useMemo(() => settleTaping(raw), [raw]);

  const volume = useMemo(() => {
    const given = { ...raw, ...settled };
    const measured = settled.reference.filter((girth) => girth !== null).length;
    const both = measured >= 2 ? tapingVolume(given, settings) : undefined;
    if (both?.ok) return { value: both.value };
    const alone = tapingVolume({ ...given, reference: positionsCm.map(() => null) }, settings);
    return alone.ok
      ? { value: alone.value, refusal: both?.ok === false ? both.refusal.message : undefined }
      : { refusal: alone.refusal.message };
  }, [positionsCm, raw, settings, settled]);

  const doubts = useMemo(() => {
    const cm = (typed: Cells['eight']['affected']['typed']) => numberIn(typed, 'cm');
    const eight = {
      kind: protocol.eight,
      cm: { affected: cm(cells.eight.affected.typed), reference: cm(cells.eight.reference.typed) },
    };
    const compared = phase === 'before' ? last : null;
    return doubtsOf({ positionsCm, unit, volume: volume.value, settled, last: compared, eight });
  }, [cells.eight, last, phase, positionsCm, protocol.eight, settled, unit, volume.value]);
  const open = doubts.filter(({ key }) => !context.confirmed.includes(key));

  /** Sends the newest state; what is typed while a send is under way goes with the next one. */
  const flush = useCallback(async (): Promise<void> => {
    if (isSending.current) return;
    isSending.current = true;
    setSaveState('saving');
    try {
      while (unsent.current) {
        const sending: Tape = unsent.current;
        const answer = await send<{ taping: TapingView; flags: readonly FlagView[] }>(
          'POST',
          `/api/visits/${visit.id}/taping`,
          toInput(sending, {
            phase,
            limb,
            side,
            protocol: protocol.id,
            positionsCm,
            method: settings.method,
            source: source.current,
            basedOn: version.current,
          }),
        );
        version.current = answer.taping.version;
        onFlags(answer.flags);
        if (unsent.current === sending) unsent.current = undefined;
      }
      localStorage.removeItem(draftKey);
      setSaveState('kept');
      setTrouble(undefined);
    } catch (error) {
      setSaveState(error instanceof RequestError && error.status === 409 ? 'conflict' : 'waiting');
      setTrouble(error instanceof Error ? error.message : 'Not saved yet.');
    } finally {
      isSending.current = false;
    }
  }, [draftKey, limb, onFlags, phase, positionsCm, protocol.id, settings.method, side, visit.id]);

  const keep = useCallback(
    (next: Tape) => {
      latest.current = next;
      setTape(next);
      unsent.current = next;
      const draft: Draft = { tape: next, basedOn: version.current };
      localStorage.setItem(draftKey, JSON.stringify(draft));
      void flush();
    },
    [draftKey, flush],
  );

  useEffect(() => {
    const draft = readDraft(draftKey);
    if (!draft || draft.basedOn !== version.current || draft.tape.cells.first.affected.length !== positionsCm.length)
      return;
    keep(draft.tape);
    // Only what an earlier page left behind is restored, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const change = (next: Tape) => {
    setPast((steps) => [...steps, latest.current].slice(-mostSteps));
    keep(next);
  };

  return {
    positionsCm,
    unit,
    cells,
    context,
    settled,
    volume,
    settings,
    doubts: open,
    last,
    saveState,
    trouble,
    retry: () => void flush(),
    isTouched: !isPassEmpty(cells.first),
    /** Takes a typed value. @returns whether it was taken; otherwise the cell says why not */
    commit: (address: CellAddress, text: string, by: 'typed' | 'tape' = 'typed'): boolean => {
      const now = latest.current;
      const cell = toCell(text, now.unit);
      const next = { ...now, cells: withCell(now.cells, address, cell) };
      const isSame = cellAt(now.cells, address).text === cell.text;
      if (by === 'tape') source.current = 'tape';
      if (cell.error) {
        latest.current = next;
        setTape(next);
      } else if (!isSame) change(next);
      return !cell.error;
    },
    switchUnit: () => {
      const now = latest.current;
      const to: LengthUnit = now.unit === 'cm' ? 'in' : 'cm';
      const next = { ...now, unit: to, cells: mapCells(now.cells, (cell) => showIn(cell, to)) };
      if (isPassEmpty(now.cells.first)) {
        latest.current = next;
        setTape(next);
      } else change(next);
    },
    undo: () => {
      const before = past.at(-1);
      if (!before) return;
      setPast((steps) => steps.slice(0, -1));
      keep(before);
    },
    canUndo: past.length > 0,
    confirm: (keys: readonly string[]) => {
      const now = latest.current;
      change({ ...now, context: { ...now.context, confirmed: [...new Set([...now.context.confirmed, ...keys])] } });
    },
    setContext: (part: Partial<Tape['context']>) => {
      const now = latest.current;
      change({ ...now, context: { ...now.context, ...part } });
    },
    mend: (doubt: Doubt) => {
      const now = latest.current;
      if (doubt.mend === 'swap') change({ ...now, cells: swapSides(now.cells) });
      if (doubt.mend === 'unit' && doubt.side) change({ ...now, cells: rereadSide(now, doubt.side) });
    },
    startPass: (pass: PassName) => {
      if (pass === 'first' || !isPassEmpty(latest.current.cells[pass])) return;
      const blank = positionsCm.map(() => emptyCell);
      latest.current = {
        ...latest.current,
        cells: { ...latest.current.cells, [pass]: { affected: blank, reference: blank } },
      };
      setTape(latest.current);
    },
  };
}

export type TapeRun = ReturnType<typeof useTapeRun>;

/** What a run is held against: last time before the work, or before the work of this visit. */
function comparedWith(
  view: MeasureView,
  phase: 'before' | 'after',
  limb: 'arm' | 'leg',
  side: 'left' | 'right',
): (TapingView & { readonly date?: string }) | null {
  const candidates = phase === 'after' ? view.tapings.filter((one) => one.phase === 'before') : [...view.lastTapings];
  return candidates.find((one) => one.limb === limb && one.side === side) ?? null;
}

const swapSides = ({ first, second, third, eight }: Cells): Cells => {
  const swap = <T>(sides: { readonly affected: T; readonly reference: T }) => ({
    affected: sides.reference,
    reference: sides.affected,
  });
  return { first: swap(first), second: swap(second), third: swap(third), eight: swap(eight) };
};

/** A side that was typed in the other unit, read as what it is. */
function rereadSide({ cells, unit }: Tape, side: TapeSide): Cells {
  const other: LengthUnit = unit === 'cm' ? 'in' : 'cm';
  const reread = (pass: PassName) => ({
    ...cells[pass],
    [side]: cells[pass][side].map((cell) => rereadAs(cell, other, unit)),
  });
  return { ...cells, first: reread('first'), second: reread('second'), third: reread('third') };
}

function toInput(
  { cells, unit, context }: Tape,
  rest: Pick<TapingInput, 'phase' | 'limb' | 'side' | 'protocol' | 'method' | 'source' | 'basedOn'> & {
    readonly positionsCm: readonly number[];
  },
): object {
  const { positionsCm, ...fields } = rest;
  return {
    ...fields,
    unit,
    positions: positionsCm.map((cm) => fromCm(cm, unit)),
    ...passIn(cells.first, unit),
    second: isPassEmpty(cells.second) ? null : passIn(cells.second, unit),
    third: isPassEmpty(cells.third) ? null : passIn(cells.third, unit),
    context: {
      ...context,
      eight: {
        affected: numberIn(cells.eight.affected.typed, unit),
        reference: numberIn(cells.eight.reference.typed, unit),
      },
    },
  };
}
