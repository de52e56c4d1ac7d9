import type { CellAddress, PassName, TapeSide } from './tape-cells';

export interface OrderWish {
  readonly points: number;
  /** Both sides at each point, or one side after the other. */
  readonly order: 'one-side' | 'side-by-side';
  readonly pass: PassName;
  readonly hasEight: boolean;
  /** Points whose two readings disagree: the third pass walks only these. */
  readonly unresolved: Readonly<Record<TapeSide, readonly number[]>>;
}

/** The cells of a pass in the order of taping: the reference limb first, from the zero mark up, hand or foot last. */
export function tapeOrder({ points, order, pass, hasEight, unresolved }: OrderWish): readonly CellAddress[] {
  const sides = ['reference', 'affected'] as const;
  const indices = Array.from({ length: points }, (_, index) => index);
  const isWalked = (side: TapeSide, index: number) => pass !== 'third' || unresolved[side].includes(index);
  const cells =
    order === 'side-by-side'
      ? indices.flatMap((index) => sides.map((side) => ({ pass, side, index })))
      : sides.flatMap((side) => indices.map((index) => ({ pass, side, index })));
  const eights = hasEight && pass === 'first' ? sides.map((side): CellAddress => ({ pass, side, index: 'eight' })) : [];
  return [...cells.filter(({ side, index }) => isWalked(side, index)), ...eights];
}

const isSame = (a: CellAddress, b: CellAddress) => a.pass === b.pass && a.side === b.side && a.index === b.index;

/** The cell a step further on or back; undefined at the ends. */
export function stepFrom(order: readonly CellAddress[], from: CellAddress, by: 1 | -1): CellAddress | undefined {
  const at = order.findIndex((cell) => isSame(cell, from));
  return at < 0 ? undefined : order[at + by];
}

/** The cell of the same side a point higher or lower, as arrow keys go on a table that stands like the body. */
export function pointFrom(order: readonly CellAddress[], from: CellAddress, by: 1 | -1): CellAddress | undefined {
  const ofSide = order.filter(({ side, index }) => side === from.side && index !== 'eight');
  const at = ofSide.findIndex((cell) => isSame(cell, from));
  return at < 0 ? undefined : ofSide[at + by];
}
