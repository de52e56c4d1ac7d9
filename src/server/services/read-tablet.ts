import { gateRows } from '../../catalogue/screening/intake.data';
import type { AskView, TabletView } from '../../contracts/ask-views';
import type { Db } from '../db/connection';
import { findHouse } from '../repositories/people';
import { listIntakeAnswers } from '../repositories/screening';
import { listConditions } from './describe-finding';
import { readWording } from './read-ask';
import { readVisitFrame } from './read-visit';

/** What a client sees on the tablet: plain questions and their own answers. @returns undefined when there is no such visit */
export async function readTablet(db: Db, visitId: number): Promise<TabletView | undefined> {
  const [visit, house] = await Promise.all([readVisitFrame(db, visitId), findHouse(db)]);
  if (!visit) return undefined;
  const asked = listConditions().filter((condition) => condition.atIntake);
  const answers = await listIntakeAnswers(db, visit.client.id);
  const intake: AskView['state']['intake'] = Object.fromEntries([...answers].map(([id, { answer }]) => [id, answer]));
  return {
    visitId,
    firstName: visit.client.name.split(' ')[0] ?? visit.client.name,
    name: visit.client.name,
    house: house?.name ?? '',
    isMinor: visit.client.age !== null && visit.client.age < 18,
    groups: gateRows.map(([group, ask, suchAs]) => ({
      group,
      ask,
      suchAs,
      questions: asked.filter((c) => c.group === group).map(({ id, ask: text }) => ({ id, ask: text })),
    })),
    intake,
    wording: await readWording(db),
  };
}
