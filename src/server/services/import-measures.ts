import { randomUUID } from 'node:crypto';
import type { ImportPlan, ImportTrouble, ImportView } from '../../contracts/imports';
import { decodeText } from '../../core/exchange/decode-text';
import { type GatheredTaping, TapingHeap } from '../../core/exchange/gather-tapings';
import { missingInPlan, readRow } from '../../core/exchange/measure-rows';
import { plainLetters } from '../../core/search/nearness';
import { type VolumeSettings, volumeSettings } from '../../core/swelling/settings';
import { plainContext } from '../../core/swelling/taping-context';
import type { Db } from '../db/connection';
import { readTable } from '../exchange/read-table';
import { findClientMeasuring, findMeasuring } from '../repositories/measures';
import { insertTapings, type NewTaping } from '../repositories/tapings';
import { insertAudit } from '../repositories/audit';
import { isoDay } from './house-clock';
import type { Actor, SaveRefusal } from './saving';
import { volumeOf } from './taping-volume';

/** Imports under way, in memory: what was not stored by the time the server ends has never happened. */
interface Job {
  readonly id: string;
  readonly by: number | null;
  readonly startedAt: number;
  view: ImportView;
  ready: readonly NewTaping[];
  isCancelled: boolean;
}

const jobs = new Map<string, Job>();
const keepMs = 30 * 60_000;
const mostTroubles = 200;
const breathRows = 2000;

class Cancelled extends Error {}

/** Lets other requests through. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve));

function forgetOldJobs(now: number): void {
  for (const [id, job] of jobs) if (now - job.startedAt > keepMs) jobs.delete(id);
}

const findJob = (id: string, actor: Actor) => {
  const job = jobs.get(id);
  return job && job.by === actor.therapistId ? job : undefined;
};

/** @returns the import as it stands, or undefined for one that is over or somebody else's */
export const readImport = (id: string, actor: Actor): ImportView | undefined => findJob(id, actor)?.view;

/** Reads and checks a table in the background; nothing is stored yet. */
export async function startImport(
  db: Db,
  bytes: Uint8Array,
  plan: ImportPlan,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly import: ImportView } | SaveRefusal> {
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (bytes.length === 0) return refuse('file', 'That file is empty: choose the table that was saved as CSV.');
  const missing = missingInPlan(plan, plan.clientId !== null);
  if (missing.length > 0) return refuse('plan', `Say ${missing.join(', ')}.`);
  forgetOldJobs(actor.now.getTime());
  const id = randomUUID();
  const job: Job = {
    id,
    by: actor.therapistId,
    startedAt: actor.now.getTime(),
    isCancelled: false,
    ready: [],
    view: {
      id,
      state: 'reading',
      share: 0,
      rows: 0,
      girths: 0,
      tapings: 0,
      clients: 0,
      troubles: [],
      troubleCount: 0,
      sample: [],
      message: '',
    },
  };
  jobs.set(id, job);
  void run(job, () => check(db, job, decodeText(bytes), plan, actor));
  return { kind: 'saved', import: job.view };
}

/** Stores what was checked, all of it in one transaction or nothing. */
export function storeImport(
  db: Db,
  id: string,
  leaveOutTroubled: boolean,
  actor: Actor,
): { readonly kind: 'saved'; readonly import: ImportView } | SaveRefusal {
  const job = findJob(id, actor);
  if (!job) return { kind: 'not-found' };
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (job.view.state !== 'checked') return refuse('', 'This import is not waiting to be stored.');
  if (job.view.troubleCount > 0 && !leaveOutTroubled)
    return refuse('leaveOutTroubled', 'Mend the rows in trouble, or say that they are to be left out.');
  if (job.ready.length === 0) return refuse('', 'There is nothing to bring in.');
  job.view = { ...job.view, state: 'storing', share: 0 };
  void run(job, () => store(db, job, actor));
  return { kind: 'saved', import: job.view };
}

/** Stops an import; what it had begun to store is taken back. */
export function cancelImport(id: string, actor: Actor): { readonly kind: 'saved' } | SaveRefusal {
  const job = findJob(id, actor);
  if (!job) return { kind: 'not-found' };
  job.isCancelled = true;
  if (job.view.state === 'checked') job.view = { ...job.view, state: 'cancelled' };
  return { kind: 'saved' };
}

async function run(job: Job, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const isCancelled = error instanceof Cancelled;
    job.view = {
      ...job.view,
      state: isCancelled ? 'cancelled' : 'failed',
      message: isCancelled ? 'Stopped; nothing was brought in.' : 'Something went wrong; nothing was brought in.',
    };
    job.ready = [];
  }
}

async function check(db: Db, job: Job, text: string, plan: ImportPlan, actor: Actor): Promise<void> {
  const troubles: ImportTrouble[] = [];
  let [troubleCount, row, girths, characters] = [0, 0, 0, 0];
  let head: readonly string[] = [];
  const heap = new TapingHeap();
  const note = (trouble: ImportTrouble) => {
    troubleCount += 1;
    if (troubles.length < mostTroubles) troubles.push(trouble);
  };
  const today = isoDay(actor.now.toISOString());
  for (const cells of readTable(text, plan.delimiter)) {
    row += 1;
    characters += cells.reduce((sum, cell) => sum + cell.length + 1, 0);
    if (row === 1 && plan.hasHead) {
      head = cells;
      continue;
    }
    // An empty line counts as a row, as the spreadsheet counts it, and is left aside.
    if (cells.every((cell) => cell.trim() === '')) continue;
    const read = readRow(cells, plan, head);
    if (!read.ok) note({ row, ...read.trouble });
    else
      for (const reading of read.readings) {
        const trouble =
          reading.date > today
            ? { column: 'date', message: `${reading.date} lies in the future.` }
            : heap.add(reading, row);
        if (trouble) note({ row, ...trouble });
        else girths += 1;
      }
    if (row % breathRows === 0) await pause(job, { share: Math.min(0.6, (0.6 * characters) / text.length), rows: row });
  }
  const gathered = heap.tapings();
  gathered.troubles.forEach(note);
  const owners = new Owners(db, plan);
  const ready: NewTaping[] = [];
  const sample: ImportView['sample'][number][] = [];
  const now = actor.now.toISOString();
  for (const [i, taping] of gathered.tapings.entries()) {
    const owner = await owners.of(taping);
    const trouble = 'message' in owner ? owner : troubleWith(taping, owner);
    if (trouble) note({ row: Math.min(...taping.rows), ...trouble });
    else if (!('message' in owner)) {
      const made = toNewTaping(taping, owner, plan, actor.therapistId, now);
      ready.push(made);
      if (sample.length < 6)
        sample.push({
          client: owner.name,
          date: taping.date,
          limb: `${made.taping.side} ${taping.limb}`,
          points: taping.positionsCm.length,
          excessMl: made.volume?.excessMl ?? null,
        });
    }
    if (i % 200 === 0) await pause(job, { share: 0.6 + (0.4 * i) / gathered.tapings.length, rows: row });
  }
  job.ready = ready;
  job.view = {
    ...job.view,
    state: 'checked',
    share: 1,
    rows: row - (plan.hasHead ? 1 : 0),
    girths,
    tapings: ready.length,
    clients: new Set(ready.map(({ clientId }) => clientId)).size,
    troubles: troubles.sort((a, b) => a.row - b.row),
    troubleCount,
    sample,
  };
}

async function pause(job: Job, progress: Partial<ImportView>): Promise<void> {
  job.view = { ...job.view, ...progress };
  await breathe();
  if (job.isCancelled) throw new Cancelled();
}

interface Owner {
  readonly id: number;
  readonly name: string;
  readonly bornOn: string | null;
  readonly side: 'left' | 'right' | null;
  readonly settings: VolumeSettings;
  /** Date, phase and limb of what was taped already. */
  readonly known: Set<string>;
}

type Refused = Omit<ImportTrouble, 'row'>;

/** Finds whose a taping is; each client is looked up once. */
class Owners {
  readonly #known = new Map<string, Owner | Refused>();

  constructor(
    private readonly db: Db,
    private readonly plan: ImportPlan,
  ) {}

  async of(taping: GatheredTaping): Promise<Owner | Refused> {
    const key = this.plan.clientId === null ? `${plainLetters(taping.client)}\n${taping.born ?? ''}` : 'the one';
    const known = this.#known.get(key) ?? (await this.#find(taping));
    this.#known.set(key, known);
    return known;
  }

  async #find(taping: GatheredTaping): Promise<Owner | Refused> {
    const { clientId } = this.plan;
    const rows = await this.db
      .selectFrom('client')
      .select(['id', 'name', 'born_on'])
      .$if(clientId !== null, (query) => query.where('id', '=', clientId ?? 0))
      .$if(clientId === null, (query) => query.where('search_name', '=', plainLetters(taping.client)))
      .where('merged_into', 'is', null)
      .execute();
    const fitting = taping.born === null ? rows : rows.filter((row) => row.born_on === taping.born);
    const [client] = fitting;
    if (!client)
      return { column: 'client', message: `There is no client “${taping.client}” on record: add them first.` };
    if (fitting.length > 1)
      return { column: 'client', message: `There are several clients “${taping.client}”: give the date of birth too.` };
    const [house, own, apart] = await Promise.all([
      findMeasuring(this.db),
      findClientMeasuring(this.db, client.id),
      this.db
        .selectFrom('taping')
        .select(['taken_at', 'phase', 'limb'])
        .where('client_id', '=', client.id)
        .where('is_latest', '=', 1)
        .execute(),
    ]);
    return {
      id: client.id,
      name: client.name,
      bornOn: client.born_on,
      side: own.side,
      settings: volumeSettings(house, own),
      known: new Set(apart.map((row) => keyOf(isoDay(row.taken_at), row.phase, row.limb))),
    };
  }
}

const keyOf = (date: string, phase: string, limb: string) => `${date} ${phase} ${limb}`;

function troubleWith(taping: GatheredTaping, owner: Owner): Refused | undefined {
  if (owner.bornOn !== null && taping.date < owner.bornOn)
    return { column: 'date', message: `${taping.date} lies before the birth of ${owner.name}.` };
  if (owner.known.has(keyOf(taping.date, taping.phase, taping.limb)))
    return { column: 'date', message: `A taping of ${owner.name} of ${taping.date} is on record already.` };
  return undefined;
}

function toNewTaping(
  gathered: GatheredTaping,
  owner: Owner,
  plan: ImportPlan,
  by: number | null,
  now: string,
): NewTaping {
  const sum = (girths: readonly (number | null)[]) => girths.reduce<number>((total, girth) => total + (girth ?? 0), 0);
  const larger = sum(gathered.left) >= sum(gathered.right) ? 'left' : 'right';
  const side = plan.swollen === 'larger' ? (owner.side ?? larger) : plan.swollen;
  const [affected, reference] = side === 'left' ? [gathered.left, gathered.right] : [gathered.right, gathered.left];
  const taping = {
    phase: gathered.phase,
    limb: gathered.limb,
    side,
    unit: 'cm' as const,
    method: owner.settings.method,
    protocol: '',
    positions: [...gathered.positionsCm],
    affected: [...affected],
    reference: [...reference],
    second: null,
    third: null,
    context: { ...plainContext, ticks: [], confirmed: [] },
  };
  return {
    clientId: owner.id,
    visitId: null,
    takenAt: new Date(`${gathered.date}T12:00:00`).toISOString(),
    version: 1,
    taping,
    source: 'import',
    volume: volumeOf(taping, owner.settings),
    by,
    now,
  };
}

async function store(db: Db, job: Job, actor: Actor): Promise<void> {
  const all = job.ready;
  await db.transaction().execute(async (trx) => {
    await insertTapings(trx, all, async (done) => pause(job, { share: done / all.length }));
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'measures brought in',
      subject: 'house',
      detail: `${all.length} tapings of ${job.view.clients} clients`,
    });
  });
  job.ready = [];
  job.view = { ...job.view, state: 'done', share: 1 };
}
