import { addDays, addMinutes, set } from 'date-fns';
import { trainingBooks } from '../catalogue/training';
import type { TherapistId } from '../core/ids';
import { seededRandom } from '../core/random';
import type { DrillKind, Level } from '../core/training/kinds';
import { markDrill } from '../core/training/drills';
import type { Db } from '../server/db/connection';
import { keepAnswer } from '../server/practice/answer-drill';
import { insertSet } from '../server/practice/practice.repository';
import { isoDay } from '../server/shared/house-clock';

/** Cases of a session: what of it was known, and how long it took. */
const evenings: readonly (readonly [DrillKind, Level])[][] = [
  [
    ['order', 1],
    ['direction', 1],
    ['direction', 1],
    ['screen', 1],
    ['heat', 1],
  ],
  [
    ['route', 1],
    ['drops', 1],
    ['direction', 2],
    ['change', 1],
    ['screen', 2],
  ],
  [
    ['order', 2],
    ['heat', 2],
    ['drops', 2],
    ['direction', 2],
  ],
];
const knownShare = 0.7;

/** A few evenings at the practice table for each of the house, and a drill that is set before stone work. */
export async function practise(db: Db, people: readonly TherapistId[], now: Date): Promise<void> {
  const random = seededRandom(4127);
  const [owner] = people;
  if (owner === undefined) return;
  await insertSet(db, {
    ...{ kind: 'heat', level: 2, seed: 4127, modality: 'hot-stone', dueOn: isoDay(addDays(now, 6).toISOString()) },
    ...{ madeBy: owner, madeAt: addDays(now, -2).toISOString() },
  });
  for (const [i, person] of people.entries())
    for (const [day, cases] of evenings.slice(0, evenings.length - i).entries()) {
      const evening = set(addDays(now, 3 * day - 9 - i), { hours: 19, minutes: 5, seconds: 0, milliseconds: 0 });
      for (const [at, [kind, level]] of cases.entries()) {
        const seed = Math.floor(random() * 100_000);
        const givenUp = markDrill(trainingBooks, { kind, level, seed }, null);
        if (!givenUp.ok) continue;
        const isKnown = random() < knownShare;
        const marked = isKnown ? markDrill(trainingBooks, { kind, level, seed }, givenUp.value.best) : givenUp;
        if (!marked.ok) continue;
        const input = { kind, level, seed, course: null, set: null, seconds: 20 + Math.floor(random() * 70) };
        await keepAnswer(db, person, { input, marked: marked.value, isGivenUp: !isKnown }, addMinutes(evening, 2 * at));
      }
    }
}
