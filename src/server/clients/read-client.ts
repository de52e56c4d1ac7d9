import type { ClientId, VisitId } from '../../core/ids';
import { subDays } from 'date-fns';
import { pressureAnswers, scentAnswers, warmthAnswers } from '../../catalogue/swelling/scales.data';
import { screeningBook } from '../../catalogue/screening/screening';
import type {
  BookedView,
  ClientContactView,
  ClientView,
  FoundClient,
  HistoryEntry,
  LedgerRow,
} from '../../contracts/client-views';
import type { LastWork } from '../../contracts/last-work';
import type { StageOrEnd, TherapistView } from '../../contracts/people-views';
import type { TapingView } from '../../contracts/visit-views';
import type { ClosingView } from '../../contracts/closing-view';
import { type Purpose, qualificationIds } from '../../core/drainage/case';
import { cautionsOf } from '../../core/screening/cautions';
import type { Screening } from '../../core/screening/screen';
import { summariseFeedback } from '../../core/skin/feedback';
import { compareTapings } from '../../core/swelling/compare-tapings';
import { usualVolume, type VolumeSettings } from '../../core/swelling/settings';
import { ageOn } from '../../core/visit/words';
import type { Db } from '../db/connection';
import type { ClientRow, VisitRow } from '../db/schema';
import { contactOnly, findClient, searchClients, toClientData } from './clients.repository';
import { listFindings, type StoredFinding } from '../screening/findings.repository';
import { listBookable, listTherapists } from '../people/people.repository';
import { listClosingsOfClient } from '../visits/closings.repository';
import { countStepsOfClient, listVisitsOfClient } from '../visits/visits.repository';
import { type HomeTick, listTicks } from '../home/home.repository';
import { listTapingsOfClient } from '../measures/tapings.repository';
import { listAttachments } from './attachments.repository';
import { describeFinding, listConditions, oilGroupLabel, placeNames } from '../screening/describe-finding';
import { type ChangeLimits, limitsBy, readChangeLimits } from '../measures/change-limits';
import { clockTime, isoDay, longDay, shortDay } from '../shared/house-clock';
import { findMeasuring } from '../people/settings.repository';
import { findDoublesOf } from './find-doubles';
import { readConsent } from '../screening/read-ask';
import { missingNotes } from '../visits/prepare-visit';
import { readCorrections } from './read-corrections';
import { listPatches } from '../oils/patch-tests';
import { briefOf, therapistOf } from '../visits/read-visit';
import { screenCase } from '../screening/screen-visit';
import { readVolumeSettings, withVolume } from '../measures/taping-volume';
import { storedWork, modalitiesOf, workForDesk, workOf } from '../visits/visit-holds';
import { focusColumn } from '../visits/visit.documents';
import { clientsAnswers } from './clients.answers';

/** What the front desk sees of a client. @returns undefined when there is no such client */
export async function readContact(
  db: Db,
  id: number,
  now: Date,
  isDesk = true,
): Promise<ClientContactView | undefined> {
  const client = await findClient(db, id);
  if (!client) return undefined;
  const [therapists, visits, findings] = await Promise.all([
    listTherapists(db),
    listVisitsOfClient(db, id),
    listFindings(db, id),
  ]);
  const today = isoDay(now.toISOString());
  return {
    client: { id, name: client.name, age: ageOn(client.born_on, today), about: '' },
    data: contactOnly(toClientData(client)),
    version: client.version,
    messagesSaidOn: client.messages_said_at === null ? '' : shortDay(client.messages_said_at),
    isArchived: client.archived_at !== null,
    mergedInto: client.merged_into,
    therapists: await listBookable(db),
    booked: bookedFrom(visits, therapists, now, !isDesk),
    lastWork: visits[0] ? { ...lastWorkOf(visits[0]), ...(isDesk && { words: workForDesk(visits[0]) }) } : null,
    isNoteMissing: missingNotes({ bornOn: client.born_on, findings }, today).length > 0,
  };
}

/** The visits of a client that are to come, the next one first. @returns undefined when there is no such client */
export async function readBooked(
  db: Db,
  id: number,
  now: Date,
  mayTreat: boolean,
): Promise<readonly BookedView[] | undefined> {
  if (!(await findClient(db, id))) return undefined;
  return bookedFrom(await listVisitsOfClient(db, id), await listTherapists(db), now, mayTreat);
}

function bookedFrom(
  visits: readonly VisitRow[],
  therapists: readonly TherapistView[],
  now: Date,
  mayTreat: boolean,
): readonly BookedView[] {
  return visits
    .filter((visit) => visit.starts_at >= now.toISOString() && visit.stage === 'ask')
    .map((visit) => ({
      id: visit.id,
      date: longDay(visit.starts_at),
      time: clockTime(visit.starts_at),
      minutes: visit.minutes,
      work: mayTreat ? workOf(visit) : workForDesk(visit),
      therapist: therapistOf(therapists, visit.therapist_id).name,
      therapistId: visit.therapist_id,
      isSeries: visit.series !== null,
    }))
    .reverse();
}

/** What a visit was for, to be booked again. */
export function lastWorkOf(visit: VisitRow): LastWork {
  const focus = focusColumn.read(visit.focus_json);
  const purpose = visit.purpose as Purpose;
  return { words: workOf(visit), focus, purpose, minutes: visit.minutes, holds: storedWork(visit)?.holds ?? null };
}

/** A client's record as it stands, for somebody who holds every qualification: what the body allows. */
function screenRecord(client: ClientRow, findings: readonly StoredFinding[], today: string): Screening {
  return screenCase({
    visitDate: today,
    age: ageOn(client.born_on, today),
    findings,
    flagged: [],
    qualifications: [...qualificationIds],
    overrides: [],
  });
}

/** @returns undefined when there is no such client */
export async function readClient(db: Db, id: number, now: Date): Promise<ClientView | undefined> {
  const [client, contact] = await Promise.all([findClient(db, id), readContact(db, id, now, false)]);
  if (!client || !contact) return undefined;
  const today = isoDay(now.toISOString());
  const [findings, visits, files, consent, duplicates] = await Promise.all([
    listFindings(db, id),
    listVisitsOfClient(db, id),
    listAttachments(db, id),
    readConsent(db, id, now.toISOString()),
    findDoublesOf(db, id),
  ]);
  const screening = screenRecord(client, findings, today);
  return {
    ...contact,
    volumeUnit: (await findMeasuring(db)).volumeUnit,
    data: toClientData(client),
    client: briefOf(client, findings, today),
    findings: findings.map((finding) => describeFinding(finding, today)),
    conditions: listConditions(),
    history: await readHistory(db, id, visits, await listTherapists(db)),
    cautions: cautionsOf(screening, { places: placeNames, oilGroup: oilGroupLabel }),
    ledger: ledgerOf(visits, await listTicks(db, id), now),
    corrections: await readCorrections(db, id),
    files,
    consent,
    duplicates,
    preferences: await readPreferences(db, id, visits),
    patchTests: (await listPatches(db, id, now)).map(({ id: key, what, due }) => ({ id: key, what, words: due })),
  };
}

/** What the last three answers agree on, where it is something to change. */
async function readPreferences(db: Db, clientId: ClientId, visits: readonly VisitRow[]): Promise<readonly string[]> {
  const closings = await listClosingsOfClient(db, clientId);
  const inOrder = visits.toReversed().map((visit) => closings.get(visit.id));
  const preferred = (pick: (closing: ClosingView) => number | null) =>
    summariseFeedback(inOrder.map((closing) => (closing ? pick(closing) : null))).preferred;
  const said = (
    what: string,
    value: number | null,
    scale: readonly { readonly value: number; readonly text: string }[],
  ) =>
    value === null || value === 0
      ? ''
      : clientsAnswers.threeTimesInARow(what, scale.find((one) => one.value === value)?.text ?? value);
  return [
    said(
      'pressure',
      preferred(({ pressure }) => pressure),
      pressureAnswers,
    ),
    said(
      'warmth',
      preferred(({ warmth }) => warmth),
      warmthAnswers,
    ),
    said(
      'scent',
      preferred(({ scent }) => scent),
      scentAnswers,
    ),
  ].filter(Boolean);
}

async function readHistory(
  db: Db,
  clientId: ClientId,
  visits: readonly VisitRow[],
  therapists: readonly TherapistView[],
): Promise<readonly HistoryEntry[]> {
  const [house, settings, tapings, steps, closings] = await Promise.all([
    findMeasuring(db),
    readVolumeSettings(db, clientId),
    listTapingsOfClient(db, clientId),
    countStepsOfClient(db, clientId),
    listClosingsOfClient(db, clientId),
  ]);
  const limits = await readChangeLimits(db, house, settings, tapings);
  const newest = new Map(
    tapings.filter(({ visit_id }) => visit_id !== null).map((row) => [`${row.visit_id} ${row.phase}`, row]),
  );
  const measured = new Map([...newest].map(([key, row]) => [key, withVolume(row, settings)]));
  const byVisit = (visitId: VisitId, phase: 'before' | 'after') => measured.get(`${visitId} ${phase}`);
  const history: HistoryEntry[] = [];
  for (const [index, visit] of visits.entries()) {
    const before = byVisit(visit.id, 'before');
    const earlierVisit = visits.slice(index + 1).find(({ id }) => byVisit(id, 'before'));
    const earlier = earlierVisit && byVisit(earlierVisit.id, 'before');
    history.push({
      visitId: visit.id,
      date: shortDay(visit.starts_at),
      isoDate: isoDay(visit.starts_at),
      stage: visit.stage as StageOrEnd,
      work: workOf(visit),
      therapist: therapistOf(therapists, visit.therapist_id).name,
      excessMl: before?.volume?.excessMl ?? null,
      excessSdMl: before?.volume?.excessSdMl ?? null,
      afterExcessMl: byVisit(visit.id, 'after')?.volume?.excessMl ?? null,
      limb: before?.limb ?? null,
      steps: steps.get(visit.id) ?? null,
      closing: closings.get(visit.id) ?? null,
      change: before && earlier ? changeOf(earlier, before, settings, limits) : null,
    });
  }
  return history;
}

/** How often each kind of work was done, in the house and at home; a drainage led round a closed group counts as a drainage. */
function ledgerOf(visits: readonly VisitRow[], ticks: readonly HomeTick[], now: Date): readonly LedgerRow[] {
  const inHouse = visits
    .filter((visit) => visit.stage === 'done')
    .flatMap((visit) => modalitiesOf(visit).map((modality) => ({ modality, at: visit.starts_at, isAtHome: false })));
  const atHome = ticks.map(({ modality, day }) => ({ modality, at: `${day}T12:00:00.000Z`, isAtHome: true }));
  const byWork = new Map<string, { readonly at: string; readonly isAtHome: boolean }[]>();
  for (const { modality, at, isAtHome } of [...inHouse, ...atHome].sort((a, b) => b.at.localeCompare(a.at)))
    if (modality !== 'reroute-drainage') byWork.set(modality, [...(byWork.get(modality) ?? []), { at, isAtHome }]);
  return [...byWork].flatMap(([id, own]): LedgerRow[] => {
    const modality = screeningBook.modalities.get(id);
    if (!modality) return [];
    const since = (days: number) => own.filter(({ at }) => at > subDays(now, days).toISOString()).length;
    return [
      {
        modality: id,
        label: modality.label,
        inSevenDays: since(7),
        inThirtyDays: since(30),
        inAll: own.length,
        atHome: own.filter(({ isAtHome }) => isAtHome).length,
        last: own[0] ? shortDay(own[0].at) : null,
        mostPerWeek: modality.baseline.maxPerWeek ?? null,
      },
    ];
  });
}

/** Change of the excess between two tapings over the same positions of the same limb; null when they cannot be compared. */
export function changeOf(
  earlier: TapingView,
  later: TapingView,
  settings: VolumeSettings = usualVolume,
  limits: ChangeLimits = limitsBy(),
): HistoryEntry['change'] {
  const change = compareTapings(earlier, later, limits(earlier, later), settings);
  return change?.of === 'excess' ? { ml: change.ml, beyond: change.beyond, limitMl: change.limitMl } : null;
}

/** Clients by name or phone number, with their age and last visit. */
export async function findClients(db: Db, text: string, now: Date, limit = 30): Promise<readonly FoundClient[]> {
  const rows = await searchClients(db, text.slice(0, 200), limit);
  return rows.map((row) => ({
    id: row.id,
    isArchived: row.archived_at !== null,
    email: row.email,
    name: row.name,
    age: ageOn(row.born_on, isoDay(now.toISOString())),
    phone: row.phone,
    lastVisit: row.last_visit ? shortDay(row.last_visit) : null,
  }));
}
