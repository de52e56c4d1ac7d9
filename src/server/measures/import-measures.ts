import type { ImportPlan, ImportTrouble, ImportView } from '../../contracts/imports';
import { decodeText } from '../../core/exchange/decode-text';
import { type GatheredTaping, TapingHeap } from '../../core/exchange/gather-tapings';
import { missingInPlan, readRow } from '../../core/exchange/measure-rows';
import { settleTaping } from '../../core/swelling/taping';
import { plainContext } from '../../core/swelling/taping-context';
import type { Db } from '../db/connection';
import { readRows } from '../exchange/read-rows';
import { insertTapings, type NewTaping } from './tapings.repository';
import { insertAudit } from '../house/audit.repository';
import { isoDay } from '../shared/house-clock';
import { type MeasureImport, measureImports as imports } from './import-jobs';
import { type Owner, Owners, troubleWith } from './import-owners';
import type { Actor, SaveRefusal } from '../shared/saving';
import { volumeOf } from './taping-volume';
import { measuresAnswers } from './measures.answers';

const mostTroubles = 200;

/** Reads and checks a table in the background; nothing is stored yet. */
export async function startImport(
  db: Db,
  bytes: Uint8Array,
  plan: ImportPlan,
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly import: ImportView } | SaveRefusal> {
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (bytes.length === 0) return refuse('file', measuresAnswers.thatFileIsEmptyChooseThe);
  const missing = missingInPlan(plan, plan.clientId !== null);
  if (missing.length > 0) return refuse('plan', measuresAnswers.say(missing.join(', ')));
  const job = imports.open(actor);
  void imports.run(job, () => check(db, job, decodeText(bytes), plan, actor));
  return { kind: 'saved', import: job.view };
}

/** Stores what was checked, all of it in one transaction or nothing. */
export function storeImport(
  db: Db,
  id: string,
  leaveOutTroubled: boolean,
  actor: Actor,
): { readonly kind: 'saved'; readonly import: ImportView } | SaveRefusal {
  const job = imports.find(id, actor);
  if (!job) return { kind: 'not-found' };
  const refuse = (path: string, message: string) => ({ kind: 'refused', errors: [{ path, message }] }) as const;
  if (job.view.state !== 'checked') return refuse('', measuresAnswers.thisImportIsNotWaitingTo);
  if (job.view.troubleCount > 0 && !leaveOutTroubled)
    return refuse('leaveOutTroubled', measuresAnswers.mendTheRowsInTroubleOr);
  if (job.ready.length === 0) return refuse('', measuresAnswers.thereIsNothingToBringIn);
  job.view = { ...job.view, state: 'storing', share: 0 };
  void imports.run(job, () => store(db, job, actor));
  return { kind: 'saved', import: job.view };
}

async function check(db: Db, job: MeasureImport, text: string, plan: ImportPlan, actor: Actor): Promise<void> {
  const troubles: ImportTrouble[] = [];
  let [troubleCount, lastRow, girths] = [0, 0, 0];
  const heap = new TapingHeap();
  const note = (trouble: ImportTrouble) => {
    troubleCount += 1;
    if (troubles.length < mostTroubles) troubles.push(trouble);
  };
  const today = isoDay(actor.now.toISOString());
  for (const { row, characters, head, cells } of readRows(text, plan)) {
    lastRow = row;
    const read = readRow(cells, plan, head);
    if (!read.ok) note({ row, ...read.trouble });
    else
      for (const reading of read.readings) {
        const trouble =
          reading.date > today
            ? { column: 'date', message: measuresAnswers.isInTheFuture(reading.date) }
            : heap.add(reading, row);
        if (trouble) note({ row, ...trouble });
        else girths += 1;
      }
    await imports.pause(job, () => ({ share: Math.min(0.6, (0.6 * characters) / text.length), rows: row }));
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
    await imports.pause(job, () => ({ share: 0.6 + (0.4 * i) / gathered.tapings.length, rows: lastRow }));
  }
  job.ready = ready;
  job.view = {
    ...job.view,
    state: 'checked',
    share: 1,
    rows: Math.max(0, lastRow - (plan.hasHead ? 1 : 0)),
    girths,
    tapings: ready.length,
    clients: new Set(ready.map(({ clientId }) => clientId)).size,
    troubles: troubles.sort((a, b) => a.row - b.row),
    troubleCount,
    sample,
  };
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
  const side = gathered.swollen ?? (plan.swollen === 'larger' ? (owner.side ?? larger) : plan.swollen);
  const other = side === 'left' ? ('right' as const) : ('left' as const);
  const passOf = (both: Readonly<Record<'left' | 'right', readonly (number | null)[]>>) => ({
    affected: [...both[side]],
    reference: [...both[other]],
  });
  const taping = {
    phase: gathered.phase,
    limb: gathered.limb,
    side,
    unit: 'cm' as const,
    method: owner.settings.method,
    protocol: '',
    positions: [...gathered.positionsCm],
    ...passOf(gathered),
    second: gathered.second && passOf(gathered.second),
    third: gathered.third && passOf(gathered.third),
    context: { ...plainContext, ticks: [], confirmed: [] },
  };
  return {
    clientId: owner.id,
    visitId: null,
    takenAt: new Date(`${gathered.date}T12:00:00`).toISOString(),
    version: 1,
    taping,
    source: 'import',
    volume: volumeOf({ ...taping, ...settleTaping({ ...taping, first: taping }) }, owner.settings),
    by,
    now,
  };
}

async function store(db: Db, job: MeasureImport, actor: Actor): Promise<void> {
  const all = job.ready;
  await db.transaction().execute(async (trx) => {
    await insertTapings(trx, all, async (done) => imports.pause(job, () => ({ share: done / all.length })));
    await insertAudit(trx, {
      at: actor.now.toISOString(),
      by: actor.therapistId,
      action: 'measures brought in',
      subject: 'house',
      detail: measuresAnswers.tapingsOfClients(all.length, job.view.clients),
    });
  });
  job.ready = [];
  job.view = { ...job.view, state: 'done', share: 1 };
}
