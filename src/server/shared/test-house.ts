import type { VisitId } from '../../core/ids';
import type { z } from 'zod';
import { ClosingInput } from '../../contracts/closing';
import { TapingInput } from '../../contracts/record';
import { type Db, openDatabase } from '../db/connection';
import { insertTherapist } from '../people/people.repository';
import { screeningBook } from '../../catalogue/screening/screening';
import { answerCheck } from '../visits/answer-check';
import { answerIntake, signConsent } from '../screening/answer-intake';
import { bookVisit } from '../booking/booking';
import { addFinding } from '../screening/save-finding';
import { readWording } from '../screening/wording';
import { readVisitFrame } from '../visits/read-visit';
import { addClient } from '../clients/save-client';
import { saveTaping } from '../measures/save-taping';
import { setUpHouse } from '../people/set-up-house';
import { visitCheckFor } from '../visits/visit-check';

/** A small house for tests: an owner who is certified, a massage therapist, and one client with a finding. */

/** A Wednesday morning. */
export const now = new Date(2026, 10, 25, 8, 0);
export const actor = { therapistId: 1, now };
export const ownerPassword = 'three wet pebbles';

export interface TestHouse {
  readonly db: Db;
  readonly client: number;
  /** The client's visit of today at nine, 45 minutes with the owner. */
  readonly visit: number;
}

export async function openHouse(): Promise<TestHouse> {
  const db = openDatabase(':memory:');
  const opened = await setUpHouse(
    db,
    {
      name: 'Haus am Bach',
      therapistName: 'Ida Moor',
      login: 'ida',
      password: ownerPassword,
      pin: '2719',
      qualifications: ['massage', 'lymphoedema-certified'],
    },
    actor,
  );
  if (opened.kind !== 'saved') throw new Error(JSON.stringify(opened));
  await insertTherapist(db, {
    name: 'Bo Farn',
    initials: 'BF',
    title: 'Massage therapist',
    room: 'Room 2',
    qualifications: ['massage'],
  });
  const client = (await addClient(db, { name: 'Zoë Ahorn', bornOn: '1970-05-01', phone: '0700 1' }, actor)).id;
  await addFinding(db, client, finding({ id: 'nodes-removed-inguinal', side: 'left', sinceOn: '2023-01-01' }), actor);
  return { db, client, visit: await book({ db, client }, 0) };
}

/** A finding as it comes from the interface, with what is not said filled in. */
export function finding(input: { readonly id: string } & Partial<Parameters<typeof addFinding>[2]>) {
  return { sinceOn: null, note: '', isUnsure: false, answers: {}, ...input };
}

/** A taping as it comes from the interface, with what is not said filled in. */
export const taping = (given: z.input<typeof TapingInput>): TapingInput => TapingInput.parse(given);

/** Answers of the end, with what is not said filled in. */
export const closing = (given: z.input<typeof ClosingInput>): ClosingInput => ClosingInput.parse(given);

/** Books a visit of 45 minutes at nine, so many days from now. */
export async function book(
  { db, client }: Pick<TestHouse, 'db' | 'client'>,
  daysFromNow: number,
  therapistId = 1,
): Promise<number> {
  const startsAt = new Date(now.getTime() + daysFromNow * 86_400_000 + 3_600_000).toISOString();
  const booked = await bookVisit(
    db,
    { clientId: client, therapistId, startsAt, minutes: 45, focus: ['leg.left'], purpose: 'swelling' },
    actor,
  );
  if (booked.kind !== 'saved') throw new Error(JSON.stringify(booked));
  return booked.id;
}

/** Girths of two legs, the left one swollen, in cm. */
export const legs = {
  phase: 'before',
  limb: 'leg',
  side: 'left',
  unit: 'cm',
  method: 'frustum',
  positions: [0, 4, 8, 12, 16],
  affected: [23, 25, 28, 32, 35],
  reference: [22, 24, 27, 30, 33],
  basedOn: 0,
} as const;

/** Stores these girths for a visit, or others in their place. */
export const tapeLegs = (db: Db, visit: number, change: Partial<z.input<typeof TapingInput>> = {}) =>
  saveTaping(
    db,
    visit,
    taping({
      ...legs,
      positions: [...legs.positions],
      affected: [...legs.affected],
      reference: [...legs.reference],
      ...change,
    }),
    actor,
  );

/** The swollen leg, so much thicker everywhere. */
export const larger = (byCm: number) => legs.affected.map((girth) => girth + byCm);

const intakeConditions = [...screeningBook.conditions.values()].filter(({ askAt }) => askAt.includes('intake'));

/** All that is asked before the table: what is not on record is answered no, the consent signed, the check without a yes. */
export async function admit(db: Db, visitId: VisitId, by: typeof actor = actor): Promise<void> {
  const visit = await readVisitFrame(db, visitId);
  if (!visit) throw new Error(`no visit ${visitId}`);
  const found = new Set(visit.stored.map(({ id }) => id));
  const answers = intakeConditions
    .filter(({ id }) => !found.has(id))
    .map(({ id }) => ({ condition: id, answer: 'no' as const }));
  if (visit.isFirst) {
    await answerIntake(db, visitId, { answers }, by);
    const { version } = await readWording(db);
    const signed = {
      areas: [],
      signer: 'client',
      name: visit.client.name,
      drawing: null,
      language: 'en',
      wordingVersion: version,
    } as const;
    const consent = await signConsent(db, visitId, { ...signed, areas: [] }, by);
    if (consent.kind !== 'saved') throw new Error(JSON.stringify(consent));
  }
  // Asked for any work: tests plan other work afterwards, which would open the check again.
  const anyWork = [...screeningBook.modalities.keys()];
  const { flags, still, today, others } = visitCheckFor({ ...visit, modalities: anyWork });
  const asked = [...flags, ...still, ...today, ...others].map(({ id }) => [id, 'no'] as const);
  await answerCheck(db, visitId, { answers: Object.fromEntries(asked) }, by);
}
