import { useMemo, useRef, useState } from 'react';
import type { FlagView, MeasureView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import type { TapeProtocol } from '../../core/swelling/protocol';
import { volumeSettings } from '../../core/swelling/settings';
import { roundTo, toCm } from '../../core/units';
import { type Doubt, doubtsOf } from './doubts';
import { inOtherUnit, readTape, rereadSide, swapSides, type Tape, tapeOf, toTapingInput } from './tape';
import {
  type CellAddress,
  cellAt,
  emptyCell,
  isPassEmpty,
  numberIn,
  type PassName,
  toCell,
  withCell,
} from './tape-cells';
import { useTapeKeeping } from './useTapeKeeping';

export interface RunWish {
  readonly view: MeasureView;
  readonly phase: 'before' | 'after';
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly protocol: TapeProtocol;
  readonly onFlags: (flags: readonly FlagView[]) => void;
}

const mostSteps = 200;

/**
 * The tape run of one limb in one phase of a visit. Every value is kept as it is typed, each with the unit that it was
 * typed in. Points are those of the protocol, in cm.
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
  const latest = useRef(tape);
  const source = useRef<'typed' | 'tape'>('typed');
  const { cells, unit, context } = tape;
  const settings = useMemo(() => volumeSettings(house, client), [client, house]);
  const last = useMemo(() => comparedWith(view, phase, limb, side), [limb, phase, side, view]);
  const { settled, volume } = useMemo(
    () => readTape({ cells, unit }, { limb, side, positionsCm }, settings),
    [cells, limb, positionsCm, settings, side, unit],
  );

  const doubts = useMemo(() => {
    const { affected, reference } = cells.eight;
    const cm = { affected: numberIn(affected.typed, 'cm'), reference: numberIn(reference.typed, 'cm') };
    return doubtsOf({
      ...{ positionsCm, unit, volume: volume.value, settled, last: phase === 'before' ? last : null },
      eight: { kind: protocol.eight, cm },
    });
  }, [cells.eight, last, phase, positionsCm, protocol.eight, settled, unit, volume.value]);

  const show = (next: Tape) => {
    latest.current = next;
    setTape(next);
  };
  const { method } = settings;
  const { saving, compare, keep } = useTapeKeeping({
    visitId: visit.id,
    name: `${limb} ${side} ${phase}`,
    savedVersion: saved?.version ?? 0,
    toInput: (sent) =>
      toTapingInput(sent, { phase, limb, side, protocol: protocol.id, positionsCm, method, source: source.current }),
    // A run over other points is sent as it was typed; it does not fit the rows that are shown here.
    onLeft: (draft) => draft.cells.first.affected.length === positionsCm.length && show(draft),
    onTheirs: (theirs) => show(tapeOf(theirs, positionsCm, unit)),
    onFlags,
  });

  const change = (next: Tape) => {
    // Read now: React may call the function below only when `show` has replaced it.
    const before = latest.current;
    setPast((steps) => [...steps, before].slice(-mostSteps));
    show(next);
    keep(next);
  };
  const changeContext = (part: Partial<Tape['context']>) =>
    change({ ...latest.current, context: { ...latest.current.context, ...part } });

  return {
    ...{ positionsCm, unit, cells, context, settled, volume, settings, last, saving, compare },
    doubts: doubts.filter(({ key }) => !context.confirmed.includes(key)),
    isTouched: !isPassEmpty(cells.first),
    /** Takes a typed value. @returns whether it was taken; otherwise the cell says why not */
    commit: (address: CellAddress, text: string, by: 'typed' | 'tape' = 'typed'): boolean => {
      const now = latest.current;
      const cell = toCell(text, now.unit);
      const next = { ...now, cells: withCell(now.cells, address, cell) };
      if (by === 'tape') source.current = 'tape';
      if (cell.error) show(next);
      else if (cellAt(now.cells, address).text !== cell.text) change(next);
      return !cell.error;
    },
    switchUnit: () => {
      const next = inOtherUnit(latest.current);
      if (isPassEmpty(next.cells.first)) show(next);
      else change(next);
    },
    undo: () => {
      const before = past.at(-1);
      if (!before) return;
      setPast((steps) => steps.slice(0, -1));
      show(before);
      keep(before);
    },
    canUndo: past.length > 0,
    confirm: (keys: readonly string[]) =>
      changeContext({ confirmed: [...new Set([...latest.current.context.confirmed, ...keys])] }),
    setContext: changeContext,
    mend: (doubt: Doubt) => {
      if (doubt.mend === 'swap') change(swapSides(latest.current));
      if (doubt.mend === 'unit' && doubt.side) change(rereadSide(latest.current, doubt.side));
    },
    startPass: (pass: PassName) => {
      const now = latest.current;
      if (pass === 'first' || !isPassEmpty(now.cells[pass])) return;
      const blank = positionsCm.map(() => emptyCell);
      show({ ...now, cells: { ...now.cells, [pass]: { affected: blank, reference: blank } } });
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
