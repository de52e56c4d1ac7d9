import type { ChangeView } from '../../contracts/change-views';
import { formatNumber, formatSigned } from '../../core/units';

type Unit = ChangeView['unit'];

const decimals: Readonly<Record<Unit, number>> = { cm: 1, '°': 0, '°C': 1, mm: 0, '%': 1, 'of 10': 0, grade: 0 };
const behind: Readonly<Record<Unit, string>> = {
  cm: ' cm',
  '°': '°',
  '°C': ' °C',
  mm: ' mm',
  '%': ' %',
  'of 10': ' of 10',
  grade: '',
};

export const figureText = (unit: Unit, value: number, steps: readonly string[] = []): string =>
  steps[value] ?? `${formatNumber(value, decimals[unit])}${behind[unit]}`;
export const changeText = (unit: Unit, value: number): string =>
  `${formatSigned(value, decimals[unit])}${behind[unit]}`;

const neckKeys = {
  turns: ['neck-turn-left', 'neck-turn-right'],
  tilts: ['neck-bend-left', 'neck-bend-right'],
  bends: ['neck-extension', 'neck-flexion'],
} as const;
export type NeckDial = keyof typeof neckKeys;

export interface DialSide {
  readonly before: number | null;
  readonly after: number | null;
}

/** The neck's range of the newest visit in it, as three dials with two sides each; dials that were not taken are left out. */
export function neckDials(
  changes: readonly ChangeView[],
): readonly { readonly dial: NeckDial; readonly sides: readonly [DialSide, DialSide] }[] {
  const sideOf = (key: string): DialSide =>
    changes.find((one) => one.key === key)?.visits.at(-1) ?? { before: null, after: null };
  const isTaken = ({ before, after }: DialSide) => before !== null || after !== null;
  return (['turns', 'tilts', 'bends'] as const).flatMap((dial) => {
    const sides = [sideOf(neckKeys[dial][0]), sideOf(neckKeys[dial][1])] as const;
    return sides.some(isTaken) ? [{ dial, sides }] : [];
  });
}

/** Median of what held over the visits; undefined where it is known of none. */
export function medianHeld(change: ChangeView): { readonly percent: number; readonly count: number } | undefined {
  const held = change.visits.flatMap(({ heldPercent }) => heldPercent ?? []).toSorted((a, b) => a - b);
  if (held.length === 0) return undefined;
  const middle = held.length >> 1;
  const [low = 0, high = 0] = [held[held.length % 2 === 1 ? middle : middle - 1], held[middle]];
  return { percent: (low + high) / 2, count: held.length };
}
