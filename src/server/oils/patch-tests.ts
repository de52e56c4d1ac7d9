import type { ClientId } from '../../core/ids';
import type { PatchReadingInput, PatchTestInput } from '../../contracts/oil-house';
import type { PatchView } from '../../contracts/oil-views';
import { patchDueAt, patchState } from '../../core/oils/patch-test';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import {
  findPatchTest,
  insertPatchTest,
  latestPatchTest,
  listOpenPatchTests,
  listPatchTests,
  setReadings,
  type StoredPatchTest,
} from './patch-tests.repository';
import { clockTime, isoDay, shortDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { oilsAnswers } from './oils.answers';

/** The last patch test of a client. */
export async function readPatch(db: Db, clientId: ClientId, now: Date): Promise<PatchView | null> {
  const test = await latestPatchTest(db, clientId);
  return test ? viewOf(test, now) : null;
}

/** All patch tests of a client, the newest first. */
export async function listPatches(db: Db, clientId: ClientId, now: Date): Promise<readonly PatchView[]> {
  return (await listPatchTests(db, clientId)).map((test) => viewOf(test, now));
}

function viewOf({ id, what, placedAt, readings }: StoredPatchTest, now: Date): PatchView {
  const state = patchState(placedAt, readings, now.toISOString());
  const due = patchDueAt(placedAt);
  const next = due[Math.min(readings.length, due.length - 1)] ?? placedAt;
  const isToday = isoDay(next) === isoDay(now.toISOString());
  const words = {
    clear: oilsAnswers.clearOn(shortDay(readings.at(-1)?.readAt ?? placedAt)),
    reacted: oilsAnswers.theSkinReactedOn(shortDay(readings.at(-1)?.readAt ?? placedAt)),
    due: oilsAnswers.toBeReadNowDue(isToday ? '' : `${shortDay(next)}, `, clockTime(next)),
    waiting: oilsAnswers.toBeRead(isToday ? 'today' : shortDay(next), clockTime(next)),
  };
  return { id, what, placedAt, state, due: words[state], readings };
}

/** Tests that wait to be read, for the thread of the day: the one that is due first. */
export async function patchTestsDue(
  db: Db,
  now: Date,
): Promise<
  readonly { readonly client: string; readonly clientId: ClientId; readonly words: string; readonly isDue: boolean }[]
> {
  return (await listOpenPatchTests(db))
    .map((test) => {
      const view = viewOf(test, now);
      return { client: test.client, clientId: test.clientId, words: view.due, isDue: view.state === 'due' };
    })
    .sort((a, b) => Number(b.isDue) - Number(a.isDue));
}

type Saved = { readonly kind: 'saved'; readonly id: number } | SaveRefusal;

export async function placePatchTest(db: Db, input: PatchTestInput, actor: Actor): Promise<Saved> {
  if (!(await findClient(db, input.clientId))) return { kind: 'not-found' };
  const id = await insertPatchTest(db, input, actor.therapistId, actor.now.toISOString());
  return { kind: 'saved', id };
}

/** Adds a reading; redness ends the test, and so does a clear second reading. Readings are never changed. */
export async function readPatchTest(db: Db, id: number, input: PatchReadingInput, actor: Actor): Promise<Saved> {
  const test = await findPatchTest(db, id);
  if (!test) return { kind: 'not-found' };
  const now = actor.now.toISOString();
  const state = patchState(test.placedAt, test.readings, now);
  if (state === 'clear' || state === 'reacted')
    return {
      kind: 'refused',
      errors: [{ path: 'reading', message: oilsAnswers.thisTestHasBeenReadTo }],
    };
  if (state === 'waiting' && input.reading === 'clear')
    return {
      kind: 'refused',
      errors: [{ path: 'reading', message: oilsAnswers.tooEarlyToCallItClear(viewOf(test, actor.now).due) }],
    };
  const readings = [...test.readings, { readAt: now, ...input }];
  const isOver = ['clear', 'reacted'].includes(patchState(test.placedAt, readings, now));
  await setReadings(db, id, readings, isOver ? now : null);
  return { kind: 'saved', id };
}
