import type {
  ClientImportPlan,
  ClientImportStep,
  ClientImportView,
  DoubleWay,
  ImportDouble,
} from '../../contracts/client-imports';
import type { ImportTrouble } from '../../contracts/imports';
import { decodeText } from '../../core/exchange/decode-text';
import { missingForPeople } from '../../core/exchange/people-rows';
import type { ClientId } from '../../core/ids';
import { PeopleIndex, type Sameness } from '../../core/search/people-index';
import type { Db } from '../db/connection';
import { type Job, Jobs } from '../exchange/jobs';
import { isVCards } from '../exchange/read-vcards';
import type { Actor, SaveRefusal } from '../shared/saving';
import { listPeople } from './client-imports.repository';
import { clientsAnswers } from './clients.answers';
import { findClient, toClientData } from './clients.repository';
import { gainsOf, gainWords } from './complete-record';
import { type PersonRow, readPeople } from './read-people';

/** What waits to be stored: the file is read once more then, so that a long one is not held in memory twice. */
export interface Waiting {
  readonly rows: () => Generator<PersonRow>;
  readonly file: string;
  readonly count: number;
  /** Row → who it is on record; null for an earlier row of the file. */
  readonly doubles: ReadonlyMap<number, ClientId | null>;
}
export type ClientImport = Job<ClientImportView, Waiting | undefined>;

export const clientImports = new Jobs<ClientImportView, Waiting | undefined>(
  {
    ...{
      state: 'reading',
      share: 0,
      rows: 0,
      fresh: 0,
      doubles: [],
      doubleCount: 0,
      gainCount: 0,
      troubles: [],
      troubleCount: 0,
    },
    ...{ sample: [], added: 0, completed: 0, kept: [], keptCount: 0, key: null, message: '' },
  },
  undefined,
  { stopped: clientsAnswers.stoppedNobodyWasAdded, failed: clientsAnswers.somethingWentWrongNobodyWasAdded },
);

const mostShown = 200;
const sampleSize = 6;

const reasons: Readonly<Record<Sameness, string>> = {
  'name-and-birthday': clientsAnswers.nameAndBirthday,
  'name-and-phone': clientsAnswers.nameAndPhone,
  'name-and-email': clientsAnswers.nameAndEMail,
  name: clientsAnswers.sameName,
};

type Started = { readonly kind: 'saved'; readonly import: ClientImportView } | SaveRefusal;

/** Reads and checks a file in the background; nothing is stored yet. */
export function startClientImport(db: Db, bytes: Uint8Array, plan: ClientImportPlan, actor: Actor): Started {
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (bytes.length === 0) return refuse('file', clientsAnswers.thatFileIsEmpty);
  const text = decodeText(bytes);
  const missing = isVCards(text) ? [] : missingForPeople(plan);
  if (missing.length > 0) return refuse('plan', clientsAnswers.say(missing.join(', ')));
  const job = clientImports.open(actor);
  void clientImports.run(job, () => check(db, job, text, plan));
  return { kind: 'saved', import: job.view };
}

async function check(db: Db, job: ClientImport, text: string, plan: ClientImportPlan): Promise<void> {
  const index = new PeopleIndex<{ readonly id?: ClientId; readonly row?: number }>();
  for (const { id, name, born_on, phone, email } of await listPeople(db))
    index.add({ name, bornOn: born_on, phone, email }, { id });
  const found = new Map<number, ClientId | null>();
  const doubles: ImportDouble[] = [];
  const troubles: ImportTrouble[] = [];
  const sample: ClientImportView['sample'][number][] = [];
  let [count, fresh, gainCount, troubleCount] = [0, 0, 0, 0];
  for (const { row, characters, person, trouble } of readPeople(text, plan)) {
    count += 1;
    if (trouble) {
      troubleCount += 1;
      if (troubles.length < mostShown) troubles.push({ row, ...trouble });
    } else {
      const same = index.find(person);
      index.add(person, { row });
      if (same) {
        found.set(row, same.key.id ?? null);
        const known = await knownBy(db, same.key.id, person);
        if (known.gains.length > 0) gainCount += 1;
        if (doubles.length < mostShown)
          doubles.push({
            ...{ row, name: person.name, bornOn: person.bornOn, why: reasons[same.why] },
            ...{ earlierRow: same.key.row ?? null, ...known },
          });
      } else {
        fresh += 1;
        const { name, bornOn, phone, email, address } = person;
        if (sample.length < sampleSize) sample.push({ name, bornOn, phone, email, address });
      }
    }
    await clientImports.pause(job, () => ({ share: Math.min(1, characters / text.length), rows: count }));
  }
  job.ready = { rows: () => readPeople(text, plan), file: plan.file, count, doubles: found };
  job.view = {
    ...job.view,
    ...{ state: 'checked', share: 1, rows: count, fresh, doubles, doubleCount: found.size, troubles, troubleCount },
    ...{ sample, gainCount },
  };
}

async function knownBy(
  db: Db,
  id: ClientId | undefined,
  person: Parameters<typeof gainsOf>[1],
): Promise<Pick<ImportDouble, 'known' | 'gains'>> {
  const row = id === undefined ? undefined : await findClient(db, id);
  if (!row) return { known: null, gains: [] };
  return {
    known: { id: row.id, name: row.name, bornOn: row.born_on },
    gains: gainsOf(toClientData(row), person).map((field) => gainWords[field]),
  };
}

/** What becomes of each row that somebody like stands for already. */
export function wayOf({ doubles, apart }: ClientImportStep): (row: number) => DoubleWay {
  const own = new Map(apart.map(({ row, way }) => [row, way]));
  return (row) => own.get(row) ?? doubles;
}
