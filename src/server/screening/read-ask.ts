import type { ClientId, VisitId } from '../../core/ids';
import { addMonths, addYears } from 'date-fns';
import { gateRows } from '../../catalogue/screening/intake.data';
import { screeningBook } from '../../catalogue/screening/screening';
import type { AskState, AskView, ConsentView } from '../../contracts/ask-views';
import type { OverrideView } from '../../contracts/screening-views';
import { medicineClasses } from '../../catalogue/screening/medicines.data';
import { contradictionsIn } from '../../core/screening/contradictions';
import { recogniseMedicines } from '../../core/screening/medicines';
import { pregnancyOn } from '../../core/screening/pregnancy';
import type { Override } from '../../core/screening/override';
import { limitInWords } from '../../core/screening/words';
import type { Db } from '../db/connection';
import { readLanguage } from '../clients/read-language';
import { readWordingIn } from './wording';
import { listStaff } from '../people/people.repository';
import { latestIntakeAt, latestWording, listConsents, listIntakeAnswers, listOverrides } from './screening.repository';
import { lastTreatedBefore } from '../visits/visits.repository';
import { listConditions, oilGroupLabel, practiceLabel } from './describe-finding';
import { isoDay, shortDay } from '../shared/house-clock';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import { screeningCaseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { screenCase, viewScreening } from './screen-visit';
import { visitCheckFor } from '../visits/visit-check';
import { areasColumn } from './screening.documents';
import { screeningAnswers } from './screening.answers';

/** Everything that changes while one asks. @returns undefined when there is no such visit */
export async function readAskState(db: Db, visitId: VisitId): Promise<AskState | undefined> {
  const visit = await readVisitFrame(db, visitId);
  return visit && stateOf(db, visit);
}

async function stateOf(db: Db, visit: VisitRecord): Promise<AskState> {
  const [intake, consent, overrides] = await Promise.all([
    listIntakeAnswers(db, visit.client.id),
    readConsent(db, visit.client.id, visit.startsAt),
    viewOverrides(db, visit.id),
  ]);
  return {
    stage: visit.stage,
    findings: visit.findings,
    intake: Object.fromEntries([...intake].map(([condition, { answer }]) => [condition, answer])),
    check: visit.answers,
    consent,
    medicines: recogniseMedicines(visit.medicines, medicineClasses).map(({ name, medicineClass }) => ({
      name,
      label: medicineClass.label,
      isCertain: medicineClass.isCertain,
      conditions: medicineClass.conditions.filter((id) => !visit.stored.some((finding) => finding.id === id)),
    })),
    pregnancy: visit.dueOn === null ? null : (pregnancyOn(visit.dueOn, isoDay(visit.startsAt)) ?? null),
    contradictions: [
      ...contradictionsIn(visit.findings).map(([a, b]) => screeningAnswers.and(a.label, b.label)),
      ...visit.findings
        .filter(({ id }) => intake.get(id)?.answer === 'no')
        .map(({ id, label }) =>
          intake.get(id)?.source === 'client'
            ? screeningAnswers.onTheRecordAndTheClients(label)
            : screeningAnswers.onTheRecordAnsweredNoNow(label),
        ),
    ],
    screening: viewScreening(screenCase(screeningCaseOf(visit)), visit.therapist.qualifications, overrides),
  };
}

/** What the Ask view opens with. @returns undefined when there is no such visit */
export async function readAsk(db: Db, visitId: VisitId): Promise<AskView | undefined> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return undefined;
  const visit = await completeVisit(db, record);
  const last = await lastTreatedBefore(db, record.client.id, record.startsAt);
  return {
    visit,
    state: await stateOf(db, record),
    conditions: listConditions(),
    gates: gateRows.map(([group, ask, suchAs]) => ({ group, ask, suchAs })),
    check: visitCheckFor(record, last === null ? undefined : shortDay(last)),
    intakeDue: await readIntakeDue(db, { ...record, clientId: record.client.id }),
    wording: await readWordingIn(db, await readLanguage(db, record.client.id)),
    medicines: record.medicines,
    dueOn: record.dueOn,
    qualifications: visit.therapist.qualifications.map(
      (id) => screeningBook.qualifications.find((q) => q.id === id)?.label ?? id,
    ),
  };
}

/** The first visit, a year since the last intake, or half a year away ask for a full one. */
export async function readIntakeDue(
  db: Db,
  visit: { readonly clientId: ClientId; readonly startsAt: string; readonly isFirst: boolean },
): Promise<string | null> {
  const newest = await latestIntakeAt(db, visit.clientId);
  if (!newest) return visit.isFirst ? screeningAnswers.firstVisit : screeningAnswers.noIntakeOnRecordYet;
  if (addYears(new Date(newest), 1).toISOString() < visit.startsAt)
    return screeningAnswers.lastIntake(shortDay(newest));
  const last = await lastTreatedBefore(db, visit.clientId, visit.startsAt);
  const isLongAgo = last !== null && addMonths(new Date(last), 6).toISOString() < visit.startsAt;
  return isLongAgo && newest < last ? screeningAnswers.awaySince(shortDay(last)) : null;
}

export async function readConsent(db: Db, clientId: ClientId, on: string): Promise<ConsentView | null> {
  const [newest] = (await listConsents(db, clientId)).filter((consent) => consent.withdrawn_at === null);
  if (!newest) return null;
  const wording = await latestWording(db);
  return {
    signedAt: newest.signed_at,
    name: newest.name,
    signer: newest.signer,
    areas: areasColumn.read(newest.areas_json),
    wordingVersion: newest.wording_version,
    isDue:
      addYears(new Date(newest.signed_at), 1).toISOString() < on ||
      (wording !== undefined && wording.version > newest.wording_version),
  };
}

async function viewOverrides(db: Db, visitId: VisitId): Promise<readonly OverrideView[]> {
  const [overrides, staff] = await Promise.all([listOverrides(db, visitId), listStaff(db)]);
  return overrides.map((override) => ({
    key: override.id,
    modality: override.modality,
    words: overrideInWords(override),
    reason: override.reason,
    by: staff.find((member) => member.id === override.madeBy)?.name ?? '',
    at: override.madeAt,
  }));
}

function overrideInWords({ key, value }: Override): string {
  if (key === 'decision') return screeningAnswers.doneInSpiteOfAStop;
  const names = { practice: practiceLabel, oilGroup: oilGroupLabel };
  return value === null
    ? screeningAnswers.lifted(key)
    : screeningAnswers.now(limitInWords({ [key]: value }, key, names));
}
