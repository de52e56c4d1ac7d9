import type { VisitId } from '../../core/ids';
import { intakeWordsOf } from '../../catalogue/client-words/intake';
import { gateRows } from '../../catalogue/screening/intake.data';
import type { AskView, FeedbackTabletView, TabletView } from '../../contracts/ask-views';
import type { StageOrEnd } from '../../contracts/people-views';
import type { Db } from '../db/connection';
import { findHouse } from '../people/people.repository';
import { listIntakeAnswers } from '../screening/screening.repository';
import { listConditions } from '../screening/describe-finding';
import { readLanguage } from '../clients/read-language';
import { readWordingIn } from '../screening/wording';
import { readVisitFrame } from './read-visit';
import { readVisitBlends } from '../oils/visit-blends';

/** What a client sees on the tablet: plain questions and their own answers. @returns undefined when there is no such visit */
export async function readTablet(db: Db, visitId: VisitId): Promise<TabletView | undefined> {
  const [visit, house] = await Promise.all([readVisitFrame(db, visitId), findHouse(db)]);
  if (!visit) return undefined;
  const language = await readLanguage(db, visit.client.id);
  const words = intakeWordsOf(language);
  const asked = listConditions().filter((condition) => condition.atIntake);
  const answers = await listIntakeAnswers(db, visit.client.id);
  const intake: AskView['state']['intake'] = Object.fromEntries([...answers].map(([id, { answer }]) => [id, answer]));
  return {
    visitId,
    language,
    firstName: visit.client.name.split(' ')[0] ?? visit.client.name,
    name: visit.client.name,
    house: house?.name ?? '',
    isMinor: visit.client.age !== null && visit.client.age < 18,
    groups: gateRows.map(([group]) => {
      const [ask, suchAs] = words.gate(group);
      const questions = asked.filter((c) => c.group === group).map(({ id }) => ({ id, ask: words.question(id) }));
      return { group, ask, suchAs, questions };
    }),
    intake,
    wording: await readWordingIn(db, language),
  };
}

/** Stages at which the tablet asks how it was, instead of what is to be known before. */
const after: readonly StageOrEnd[] = ['table', 'close', 'done'];

/** @returns undefined when the visit has not come to its end, or is not there */
export async function readFeedbackTablet(db: Db, visitId: VisitId): Promise<FeedbackTabletView | undefined> {
  const [visit, house, blends] = await Promise.all([
    readVisitFrame(db, visitId),
    findHouse(db),
    readVisitBlends(db, visitId),
  ]);
  if (!visit || !after.includes(visit.stage)) return undefined;
  return {
    visitId,
    language: await readLanguage(db, visit.client.id),
    firstName: visit.client.name.split(' ')[0] ?? visit.client.name,
    house: house?.name ?? '',
    isScented: Object.values(blends).some(({ blend }) => blend.parts.length > 0),
  };
}
