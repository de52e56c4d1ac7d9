import type { ClientId, ConditionId, VisitId } from '../../core/ids';
import type { ConsentInput, IntakeAnswer } from '../../contracts/record';
import type { LanguageId } from '../../core/language';
import type { Override } from '../../core/screening/override';
import type { Db } from '../db/connection';
import type { ConsentRow } from '../db/schema';
import { areasColumn, limitValueColumn, otherWordingsColumn, wordingColumn } from './screening.documents';

/** The newest answer to each question of the intake. */
export async function listIntakeAnswers(
  db: Db,
  clientId: ClientId,
): Promise<ReadonlyMap<string, { readonly answer: IntakeAnswer; readonly at: string; readonly source: string }>> {
  const rows = await db
    .selectFrom('intake_answer')
    .selectAll()
    .where('client_id', '=', clientId)
    .orderBy('id')
    .execute();
  return new Map(rows.map((row) => [row.condition, { answer: row.answer, at: row.recorded_at, source: row.source }]));
}

/** When the newest answer of an intake was given; null when none was. */
export async function latestIntakeAt(db: Db, clientId: ClientId): Promise<string | null> {
  const row = await db
    .selectFrom('intake_answer')
    .select((eb) => eb.fn.max('recorded_at').as('at'))
    .where('client_id', '=', clientId)
    .executeTakeFirst();
  return row?.at ?? null;
}

export async function insertIntakeAnswers(
  db: Db,
  input: {
    readonly clientId: ClientId;
    readonly visitId: VisitId | null;
    readonly answers: readonly { readonly condition: ConditionId; readonly answer: IntakeAnswer }[];
    readonly source: 'therapist' | 'client';
    readonly by: number | null;
    readonly now: string;
  },
): Promise<void> {
  const common = {
    client_id: input.clientId,
    visit_id: input.visitId,
    source: input.source,
    recorded_at: input.now,
    recorded_by: input.by,
  };
  await db
    .insertInto('intake_answer')
    .values(input.answers.map(({ condition, answer }) => ({ ...common, condition, answer })))
    .execute();
}

export interface StoredOverride extends Override {
  readonly id: number;
  readonly madeAt: string;
  readonly madeBy: number | null;
}

/** Overrides of a visit that hold, in the order in which they were made. */
export async function listOverrides(db: Db, visitId: VisitId): Promise<readonly StoredOverride[]> {
  const rows = await db
    .selectFrom('screening_override')
    .selectAll()
    .where('visit_id', '=', visitId)
    .where('ended_at', 'is', null)
    .orderBy('id')
    .execute();
  return rows.map((row) => ({
    id: row.id,
    modality: row.modality,
    key: row.limit_key as Override['key'],
    value: limitValueColumn.read(row.new_json) as Override['value'],
    reason: row.reason,
    madeAt: row.made_at,
    madeBy: row.made_by,
  }));
}

export async function insertOverride(
  db: Db,
  visitId: VisitId,
  override: Override,
  old: Override['value'],
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('screening_override')
    .values({
      visit_id: visitId,
      modality: override.modality,
      limit_key: override.key,
      old_json: limitValueColumn.write(old),
      new_json: limitValueColumn.write(override.value ?? null),
      reason: override.reason,
      made_at: now,
      made_by: by,
      ended_at: null,
    })
    .execute();
}

export async function endOverride(db: Db, visitId: VisitId, id: number, now: string): Promise<boolean> {
  const result = await db
    .updateTable('screening_override')
    .set({ ended_at: now })
    .where('id', '=', id)
    .where('visit_id', '=', visitId)
    .where('ended_at', 'is', null)
    .executeTakeFirst();
  return result.numUpdatedRows > 0n;
}

export interface ConsentWording {
  readonly version: number;
  readonly paragraphs: readonly string[];
  /** The same in the other languages of the house's clients. */
  readonly others: Readonly<Partial<Record<LanguageId, readonly string[]>>>;
}

export async function latestWording(db: Db): Promise<ConsentWording | undefined> {
  const row = await db.selectFrom('consent_wording').selectAll().orderBy('version', 'desc').executeTakeFirst();
  return (
    row && {
      version: row.version,
      paragraphs: wordingColumn.read(row.text_json),
      others: otherWordingsColumn.read(row.others_json),
    }
  );
}

export async function insertWording(
  db: Db,
  { paragraphs, others }: Pick<ConsentWording, 'paragraphs' | 'others'>,
  by: number | null,
  now: string,
): Promise<number> {
  const version = ((await latestWording(db))?.version ?? 0) + 1;
  await db
    .insertInto('consent_wording')
    .values({
      version,
      text_json: wordingColumn.write(paragraphs),
      others_json: otherWordingsColumn.write(others),
      made_at: now,
      made_by: by,
    })
    .execute();
  return version;
}

export async function insertConsent(
  db: Db,
  clientId: ClientId,
  visitId: VisitId | null,
  input: ConsentInput,
  by: number | null,
  now: string,
): Promise<void> {
  await db
    .insertInto('consent')
    .values({
      client_id: clientId,
      visit_id: visitId,
      wording_version: input.wordingVersion,
      areas_json: areasColumn.write(input.areas),
      signer: input.signer,
      name: input.name,
      drawing: input.drawing,
      signed_at: now,
      recorded_by: by,
      withdrawn_at: null,
      language: input.language,
    })
    .execute();
}

/** Consents of a client, newest first. */
export async function listConsents(db: Db, clientId: ClientId): Promise<readonly ConsentRow[]> {
  return db.selectFrom('consent').selectAll().where('client_id', '=', clientId).orderBy('id', 'desc').execute();
}

/** When the wording of the consent was last changed; null where it is the one that ships. */
export async function wordingMadeAt(db: Db): Promise<string | null> {
  const row = await db.selectFrom('consent_wording').select('made_at').orderBy('version', 'desc').executeTakeFirst();
  return row?.made_at ?? null;
}
