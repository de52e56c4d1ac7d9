import type { StoneBook } from './book';
import { fitTray } from './fit-tray';
import type { Rotation, RotationCase } from './rotation';
import { stonesSays } from './stones.says';

/** Changes that more stones of a kind would save. */
export interface OneMore {
  readonly class: string;
  /** How many more: one, or a pair where both hands hold one. */
  readonly more: number;
  readonly saves: number;
}

/** How often hands take other stones: for each chain but the first, and for each swap inside one. */
export const changesOfHands = ({ timing }: Rotation): number =>
  Math.max(0, timing.length - 1) + timing.reduce((sum, { runs }) => sum + runs - 1, 0);

/**
 * Stones of a kind that the tray has of which one more, or a pair, would let hands change less often; each kind by
 * itself, what saves most first.
 * @param found the rotation of this case; nothing is offered while it cannot be done at all
 */
export function oneMore(book: StoneBook, input: RotationCase, found: Rotation): readonly OneMore[] {
  if (!found.feasible) return [];
  const now = changesOfHands(found);
  return input.stock
    .flatMap((stock): readonly OneMore[] => {
      const asked = input.steps.filter((step) => step.class === stock.class).map(({ count }) => count);
      if (asked.length === 0) return [];
      for (let more = 1; more <= Math.max(...asked); more += 1) {
        const richer = input.stock.map((one) => (one === stock ? { ...one, count: one.count + more } : one));
        const { rotation } = fitTray(book, { ...input, stock: richer });
        const saves = rotation.feasible ? now - changesOfHands(rotation) : 0;
        if (saves > 0) return [{ class: stock.class, more, saves }];
      }
      return [];
    })
    .toSorted((a, b) => b.saves - a.saves || a.more - b.more);
}

/** `2 more palm stones in the tray would save a change.` */
export const oneMoreInWords = ({ class: name, more, saves }: OneMore): string =>
  stonesSays.moreInTheTrayWouldSave(
    more === 1 ? 'One' : more,
    name.replaceAll('-', ' '),
    more === 1 ? 'stone' : 'stones',
    saves === 1 ? 'a change' : stonesSays.changes(saves),
  );
