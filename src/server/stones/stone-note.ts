import { stoneBook } from '../../catalogue/stones/stones';
import type { RotationView } from '../../contracts/stone-views';
import type { StoneNote } from '../../contracts/treatment-views';
import type { SizeId } from '../../core/stones/book';
import type { Blocked } from '../../core/stones/step-times';
import type { TableStep } from '../../core/table/table-step';
import { stonesAnswers } from './stones.answers';

const blockedWords: Readonly<Record<Blocked, string>> = {
  'no-stock': stonesAnswers.theTrayHasNoSuchStones,
  window: stonesAnswers.noTemperatureIsBothUsefulAnd,
  rest: stonesAnswers.theStoneCannotComeToThe,
  'short-lived': stonesAnswers.theStoneCoolsInLessThan,
};

const minuteSeconds = 60;
const stonesOf = (name: string, count: number) =>
  `${count} ${name.replaceAll('-', ' ')} ${count === 1 ? 'stone' : 'stones'}`;

/** What the plan and the room list say of stones. Times are minutes of the visit. */
export function stoneNote(
  { isCold, bathC, changes, sizes, rotation, spared, waysOut }: RotationView,
  steps: readonly TableStep[],
): StoneNote {
  const told = new Map(steps.map(({ id, told: one }) => [id, one]));
  const keepOf = (id: string) => told.get(id)?.stones?.keep ?? false;
  return {
    ...{ isCold, bathC, changes, spared, inPlay: rotation.stonesInPlay },
    standIns: standInsOf(sizes, told),
    trouble: [
      ...rotation.blocked.map(({ step, reason }) => `${told.get(step)?.title ?? step}: ${blockedWords[reason]}.`),
      ...rotation.shortages.map(({ class: name, short, fromS, toS }) =>
        stonesAnswers.shortByFromMinuteToMinute(
          stonesOf(name, short),
          Math.max(0, Math.floor(fromS / minuteSeconds)),
          Math.ceil(toS / minuteSeconds),
        ),
      ),
    ],
    ways: waysOut.map(({ words, changes: changed }) => ({
      words,
      stones: Object.fromEntries(changed.map(({ step, size, count }) => [step, { size, count, keep: keepOf(step) }])),
    })),
  };
}

/** Said once for each pair of sizes, with the steps that take other stones than they ask for. */
function standInsOf(sizes: RotationView['sizes'], told: ReadonlyMap<string, TableStep['told']>): readonly string[] {
  const titles = new Map<string, Set<string>>();
  for (const [id, size] of Object.entries(sizes)) {
    const one = told.get(id);
    if (!one?.stones || one.stones.size === size) continue;
    const key = stonesAnswers.stonesInsteadOf(stoneBook.sizes[size].label, labelOf(one.stones.size));
    titles.set(key, (titles.get(key) ?? new Set()).add(one.title));
  }
  return [...titles].map(([words, steps]) => stonesAnswers.sinceTheTrayHasTooFew(words, [...steps].join(', ')));
}

const labelOf = (size: SizeId) => stoneBook.sizes[size].label.toLowerCase();
