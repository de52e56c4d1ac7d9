/** One direction of the neck over the visits, the oldest first. */
interface Dialled {
  readonly key: string;
  readonly visits: readonly DialSide[];
}

const neckKeys = {
  turns: ['neck-turn-left', 'neck-turn-right'],
  tilts: ['neck-bend-left', 'neck-bend-right'],
  bends: ['neck-extension', 'neck-flexion'],
} as const;
export type NeckDial = keyof typeof neckKeys;

const neckDialIds = ['turns', 'tilts', 'bends'] as const;

export interface DialSide {
  readonly before: number | null;
  readonly after: number | null;
}

/** The neck's range of the newest visit in it, as three dials with two sides each; dials that were not taken are left out. */
export function neckDials(
  changes: readonly Dialled[],
): readonly { readonly dial: NeckDial; readonly sides: readonly [DialSide, DialSide] }[] {
  const sideOf = (key: string): DialSide =>
    changes.find((one) => one.key === key)?.visits.at(-1) ?? { before: null, after: null };
  const isTaken = ({ before, after }: DialSide) => before !== null || after !== null;
  return neckDialIds.flatMap((dial) => {
    const sides = [sideOf(neckKeys[dial][0]), sideOf(neckKeys[dial][1])] as const;
    return sides.some(isTaken) ? [{ dial, sides }] : [];
  });
}

/** A piece of a circle about 0, 0: from straight up by so many degrees to the right, as the path of an SVG. */
export function wedgePath(degrees: number, radius: number): string {
  const turn = (Math.min(180, degrees) * Math.PI) / 180;
  const [x, y] = [radius * Math.sin(turn), -radius * Math.cos(turn)].map((one) => one.toFixed(1));
  return `M0 0V${-radius}A${radius} ${radius} 0 0 1 ${x} ${y}Z`;
}
