import type { SizeId, StoneBook } from './book';
import { chainsOf } from './chain';
import { rotate, type Rotation, type RotationCase } from './rotation';
import type { StoneStep } from './step-times';

/** Sizes that do for another one, the nearest first. */
export const nearSizes: Readonly<Record<SizeId, readonly SizeId[]>> = {
  placement: ['large'],
  large: ['palm', 'placement'],
  palm: ['large', 'edge'],
  small: ['edge', 'facial', 'palm'],
  edge: ['palm', 'small'],
  toe: ['small', 'facial'],
  facial: ['small', 'toe', 'palm'],
};

/** As many times some of a chain is given other stones at most. */
const mostMoved = 6;

interface Fitted {
  readonly input: RotationCase;
  readonly rotation: Rotation;
}

/**
 * Where the tray is short of the stones that techniques ask for, a chain or its beginning or end takes those of a near
 * size, as few of them as possible; of those that help alike the one with the fewest changes.
 * @returns the case as it was where nothing helps
 */
export function fitTray(book: StoneBook, input: RotationCase): Fitted {
  const asAsked: Fitted = { input, rotation: rotate(book, input) };
  let best = asAsked;
  for (let moved = 0; moved < mostMoved && best.rotation.shortages.length > 0; moved += 1) {
    const short = shortBy(rotate(book, { ...best.input, spares: 'neither' }));
    const [better] = movesOf(best)
      .map((next): Fitted => ({ input: next, rotation: rotate(book, { ...next, spares: 'neither' }) }))
      .filter(({ rotation }) => shortBy(rotation) < short)
      .sort(byWorth);
    if (!better) break;
    best = { input: better.input, rotation: rotate(book, better.input) };
  }
  return best.rotation.feasible ? best : asAsked;
}

const shortBy = ({ shortages, blocked }: Rotation): number =>
  shortages.reduce((sum, { short, fromS, toS }) => sum + short * (toS - fromS), 0) + blockedSeconds * blocked.length;

/** A step that cannot be done at all is worse than any shortage. */
const blockedSeconds = 100_000;

const byWorth = (a: Fitted, b: Fitted) =>
  shortBy(a.rotation) - shortBy(b.rotation) || a.rotation.swaps - b.rotation.swaps;

/** Every case in which a chain that is short, its beginning or its end takes stones of a near size. */
function movesOf({ input, rotation }: Fitted): readonly RotationCase[] {
  const isShort = (step: StoneStep) =>
    rotation.shortages.some(
      ({ class: name, fromS, toS }) =>
        name === step.class && step.startS < toS && fromS - reheatSeconds < step.startS + step.durationS,
    );
  return chainsOf(input.steps).flatMap(({ step, members }) => {
    if (!isShort(step)) return [];
    const ids = members.map(({ id }) => id);
    const parts = [ids, ...ids.slice(1).flatMap((_, i) => [ids.slice(i + 1), ids.slice(0, i + 1)])];
    const size = input.stock.find((stock) => stock.class === step.class)?.size;
    return (size ? nearSizes[size] : []).flatMap((near) => {
      const stock = input.stock.find((one) => one.size === near && one.count >= step.count);
      return stock ? parts.map((part) => ({ ...input, steps: moved(input.steps, new Set(part), stock.class) })) : [];
    });
  });
}

/** A chain that ended so long before a shortage may still be what keeps the stones away. */
const reheatSeconds = 600;

/** Steps behind a chain that moves begin with fresh stones where theirs are of another class now. */
function moved(steps: readonly StoneStep[], ids: ReadonlySet<string>, to: string): readonly StoneStep[] {
  const next = steps.map((step) => (ids.has(step.id) ? { ...step, class: to } : step));
  return next.map((step, i) => (step.carry && next[i - 1]?.class !== step.class ? { ...step, carry: false } : step));
}
