import type { ClientView, FoundClient, HistoryEntry, StageOrEnd, TapingView } from '../../contracts/views';
import { anatomy } from '../../catalogue/anatomy';
import type { Purpose } from '../../core/drainage/case';
import { defaultMdcMl } from '../../core/swelling/change';
import { compareTapings } from '../../core/swelling/compare-tapings';
import { ageOn, workInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import { listFindings } from '../repositories/findings';
import { findClient, listTherapists, searchClients } from '../repositories/people';
import { latestClosing, latestPlan, listTapingsOfClient, listVisitsOfClient } from '../repositories/visits';
import { isoDay, shortDay } from './house-clock';
import { briefOf, therapistOf } from './read-visit';
import { withVolume } from './taping-volume';

/** @returns undefined when there is no such client */
export async function readClient(db: Db, id: number, now: Date): Promise<ClientView | undefined> {
  const client = await findClient(db, id);
  if (!client) return undefined;
  const [findings, therapists, visits, tapings] = await Promise.all([
    listFindings(db, id),
    listTherapists(db),
    listVisitsOfClient(db, id),
    listTapingsOfClient(db, id),
  ]);
  const byVisit = (visitId: number, phase: 'before' | 'after') => {
    const row = tapings.find((t) => t.visit_id === visitId && t.phase === phase);
    return row ? withVolume(row) : undefined;
  };
  const history: HistoryEntry[] = [];
  for (const [index, visit] of visits.entries()) {
    const before = byVisit(visit.id, 'before');
    const earlier = visits
      .slice(index + 1)
      .map((v) => byVisit(v.id, 'before'))
      .find(Boolean);
    const plan = await latestPlan(db, visit.id);
    history.push({
      visitId: visit.id,
      date: shortDay(visit.starts_at),
      isoDate: isoDay(visit.starts_at),
      stage: visit.stage as StageOrEnd,
      work: workInWords(anatomy, JSON.parse(visit.focus_json) as string[], visit.purpose as Purpose),
      therapist: therapistOf(therapists, visit.therapist_id).name,
      excessMl: before?.volume?.excessMl ?? null,
      excessSdMl: before?.volume?.excessSdMl ?? null,
      afterExcessMl: byVisit(visit.id, 'after')?.volume?.excessMl ?? null,
      limb: before?.limb ?? null,
      steps: plan ? (JSON.parse(plan.steps_json) as unknown[]).length : null,
      closing: (await latestClosing(db, visit.id)) ?? null,
      change: before && earlier ? changeOf(earlier, before) : null,
    });
  }
  return {
    client: {
      ...briefOf(client, findings, isoDay(now.toISOString())),
      bornOn: client.born_on,
      phone: client.phone,
      note: client.note,
    },
    findings,
    history,
    therapists,
  };
}

/** Change of the excess between two tapings over the same positions of the same limb; null when they cannot be compared. */
export function changeOf(earlier: TapingView, later: TapingView): HistoryEntry['change'] {
  const mdcMl = defaultMdcMl[later.limb][earlier.therapistId === later.therapistId ? 'same' : 'different'];
  const change = compareTapings(earlier, later, mdcMl);
  return change?.of === 'excess' ? { ml: change.ml, beyond: change.beyond, limitMl: change.limitMl } : null;
}

/** Clients by name or phone number, with their age and last visit. */
export async function findClients(db: Db, text: string, now: Date, limit = 30): Promise<readonly FoundClient[]> {
  const rows = await searchClients(db, text.slice(0, 200), limit);
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    age: ageOn(row.born_on, isoDay(now.toISOString())),
    phone: row.phone,
    lastVisit: row.last_visit ? shortDay(row.last_visit) : null,
  }));
}
