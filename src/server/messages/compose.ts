import { clientWordsOf } from '../../catalogue/client-words/client-words';
import type { LanguageId } from '../../core/language';
import type { MessageKind } from '../../core/messages/kinds';
import { readVisitLanguage } from '../clients/read-language';
import type { Db } from '../db/connection';
import { findHouse } from '../people/people.repository';
import { clockTimeIn, longDayIn } from '../shared/house-clock';
import { findReminded, listStanding, type MessageRow, type Reminded } from './messages.repository';

/** What a client reads, and the visits that it is about. */
export interface Message {
  readonly subject: string;
  readonly words: string;
  readonly visits: readonly Reminded[];
  readonly language: LanguageId;
  readonly house: string;
  /** Whom to ring; '' where the house has not said. */
  readonly housePhone: string;
}

/** A message that has not gone out follows its visit and the client's language as they are now. */
export async function composeMessage(
  db: Db,
  { visit_id: visitId, kind }: Pick<MessageRow, 'visit_id' | 'kind'>,
  now: Date,
): Promise<Message | undefined> {
  const [visit, language, house] = await Promise.all([
    findReminded(db, visitId),
    readVisitLanguage(db, visitId),
    findHouse(db),
  ]);
  if (!visit) return undefined;
  const { reminder: words } = clientWordsOf(language);
  const name = house?.name ?? words.we;
  const visits = await visitsOf(db, visit, kind, now);
  const when = visits.map(({ starts_at, therapist }) =>
    words.when(longDayIn(language, starts_at), clockTimeIn(language, starts_at), therapist),
  );
  return {
    subject: words.subjects[kind],
    words: words[kind](name, when.join('; ')),
    ...{ visits, language, house: name, housePhone: house?.phone ?? '' },
  };
}

/** A row is booked in one message; everything else is about one visit. */
async function visitsOf(db: Db, visit: Reminded, kind: MessageKind, now: Date): Promise<readonly Reminded[]> {
  if (kind !== 'booked' || visit.series === null) return [visit];
  const standing = await listStanding(db, visit.series, now.toISOString());
  return standing.length > 0 ? standing : [visit];
}
