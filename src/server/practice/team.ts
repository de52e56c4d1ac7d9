import { screeningBook } from '../../catalogue/screening/screening';
import type { MentionView, PersonKnows, SetInput, TeamView } from '../../contracts/practice';
import type { TherapistId } from '../../core/ids';
import { drillKinds } from '../../core/training/kinds';
import { drillNames } from '../../core/training/names';
import { hardBelow } from '../../core/training/rating';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import { listStaff, type StaffMember } from '../people/people.repository';
import { isoDay, shortDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { practiceAnswers } from './practice.answers';
import { endSet, insertSet, type KeptSet, listAnswers, listSets, readCards } from './practice.repository';
import { bestOf, minutesOf, setView, skillViews, workLabel } from './read-known';

const shownWeakest = 3;
const weekMs = 7 * 24 * 3600 * 1000;

/** Who of the house is sure in what; people stand as the house lists them, in no order of rank. */
export async function readTeam(db: Db, now: Date): Promise<TeamView> {
  const [staff, sets] = await Promise.all([listStaff(db), listSets(db)]);
  return {
    people: await Promise.all(
      staff.filter(({ leftAt }) => leftAt === null).map((person) => personKnows(db, person, sets, now)),
    ),
    sets: sets.map((set) => setView(set, [])),
    works: [...screeningBook.modalities.values()].map(({ id, label }) => ({ id, label })),
  };
}

async function personKnows(
  db: Db,
  { id, name, initials }: StaffMember,
  sets: readonly KeptSet[],
  now: Date,
): Promise<PersonKnows> {
  const person = id as TherapistId;
  const [cards, answers] = await Promise.all([readCards(db, person), listAnswers(db, person)]);
  const asked = skillViews(cards, now).flatMap(({ sure, ...skill }) => (sure === null ? [] : [{ ...skill, sure }]));
  const since = new Date(now.getTime() - weekMs).toISOString();
  const ofWeek = answers.filter(({ at }) => at > since);
  return {
    ...{ id, name, initials },
    kinds: drillKinds.flatMap((kind) => {
      const own = asked.filter((one) => one.kind === kind);
      return own.length === 0 ? [] : [{ kind, sure: own.reduce((sum, { sure }) => sum + sure, 0) / own.length }];
    }),
    weakest: asked
      .toSorted((a, b) => a.sure - b.sure)
      .slice(0, shownWeakest)
      .map(({ title }) => title),
    lastOn: answers[0] ? shortDay(answers[0].at) : null,
    minutesOfWeek: minutesOf(ofWeek),
    sets: sets.map((set) => ({ id: set.id, best: bestOf(set, answers) })),
  };
}

/** Sets a drill to everybody. Errors: a day that is over, work that there is not. */
export async function addSet(
  db: Db,
  input: SetInput,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const { therapistId, now } = actor;
  if (therapistId === null) return { kind: 'not-found' };
  const errors = [
    ...(input.dueOn < isoDay(now.toISOString()) ? [{ path: 'dueOn', message: practiceAnswers.thatDayIsOver }] : []),
    ...(input.modality !== null && !screeningBook.modalities.has(input.modality)
      ? [{ path: 'modality', message: practiceAnswers.thereIsNoSuchWork(input.modality) }]
      : []),
  ];
  if (errors.length > 0) return { kind: 'refused', errors };
  const at = now.toISOString();
  return db.transaction().execute(async (trx) => {
    const id = await insertSet(trx, { ...input, madeBy: therapistId, madeAt: at });
    const detail = `${input.kind} ${input.level} ${input.seed}`;
    await insertAudit(trx, { at, by: therapistId, action: 'drill set', subject: `drill ${id}`, detail });
    return { kind: 'saved', id } as const;
  });
}

export async function removeSet(
  db: Db,
  id: number,
  { therapistId, now }: Actor,
): Promise<SaveRefusal | { kind: 'saved' }> {
  const at = now.toISOString();
  return db.transaction().execute(async (trx) => {
    if (!(await endSet(trx, id, at))) return { kind: 'not-found' } as const;
    await insertAudit(trx, { at, by: therapistId, action: 'drill ended', subject: `drill ${id}`, detail: '' });
    return { kind: 'saved' } as const;
  });
}

/** Work for which a drill is asked that somebody has not done well yet: to be mentioned, never to forbid. */
export async function readMentions(db: Db, person: TherapistId): Promise<readonly MentionView[]> {
  const sets = (await listSets(db)).filter(({ modality }) => modality !== null);
  if (sets.length === 0) return [];
  const answers = await listAnswers(db, person);
  return sets
    .filter((set) => (bestOf(set, answers) ?? 0) < hardBelow)
    .map((set) => {
      const modality = set.modality ?? '';
      const text = practiceAnswers.isAskedBefore(drillNames[set.kind], shortDay(set.dueOn), workLabel(modality));
      return { modality, work: workLabel(modality), text };
    });
}
