import { subDays } from 'date-fns';
import { homeRoutine } from '../../catalogue/homecare/homecare';
import type { HomeDone } from '../../core/homecare/rhythm';
import type { HomeSheet } from '../../core/homecare/sheet';
import type { ClientId } from '../../core/ids';
import type { Db } from '../db/connection';
import { isoDay } from '../shared/house-clock';
import { givenStages, modalitiesOf } from '../visits/visit-holds';
import { listLedgerVisits } from '../visits/visits.repository';

/** Times in any seven days: of the routine's own and what screening allowed when the sheet was given, the smaller. */
export const mostOf = ({ routine, mostPerWeek = Infinity }: HomeSheet): number =>
  Math.min(homeRoutine(routine).mostPerWeek, mostPerWeek);

/** Work that a therapist gave lately: what a client does alone counts together with it. */
export async function listGiven(db: Db, clientId: ClientId, now: Date, days: number): Promise<readonly HomeDone[]> {
  const asked = { id: 0, clientId, startsAt: now.toISOString() };
  const rows = await listLedgerVisits(db, asked, subDays(now, days).toISOString());
  return rows
    .filter(({ stage }) => givenStages.has(stage))
    .flatMap((row) => modalitiesOf(row).map((modality) => ({ modality, day: isoDay(row.starts_at) })));
}
