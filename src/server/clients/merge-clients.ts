import type { MergePreview } from '../../contracts/routes/clients';
import type { ClientInput } from '../../contracts/record';
import type { Db } from '../db/connection';
import { changeClient, findClient, toClientData, setMerged } from './clients.repository';
import { listFindings } from '../screening/findings.repository';
import { insertAudit } from '../house/audit.repository';
import { countOf, moveRows } from './whole-client.repository';
import { describeFinding } from '../screening/describe-finding';
import { isoDay } from '../shared/house-clock';
import type { Actor, SaveRefusal } from '../shared/saving';
import { followClient } from '../messages/queue-messages';

/** What merging would do, before it is done. */
export async function previewMerge(db: Db, keepId: number, dropId: number): Promise<MergePreview | undefined> {
  const [keep, drop] = [await findClient(db, keepId), await findClient(db, dropId)];
  if (!keep || !drop || keepId === dropId || keep.merged_into !== null || drop.merged_into !== null) return undefined;
  const [a, b] = [toClientData(keep), toClientData(drop)];
  const today = isoDay(new Date().toISOString());
  const [mine, theirs] = [await listFindings(db, keepId), await listFindings(db, dropId)];
  return {
    keep: { id: keepId, data: a, counts: await countOf(db, keepId), version: keep.version },
    drop: { id: dropId, data: b, counts: await countOf(db, dropId), version: drop.version },
    merged: together(a, b),
    differing: differences(a, b),
    twice: mine.filter((f) => theirs.some((t) => t.id === f.id)).map((f) => describeFinding(f, today).label),
  };
}

function together(a: ClientInput, b: ClientInput): ClientInput {
  const notes = [a.note, b.note].filter(Boolean);
  const medicines = [...new Set([a.medicines, b.medicines].filter(Boolean))];
  const likes = Object.fromEntries(
    Object.entries(a.likes).map(([key, value]) => [key, value || b.likes[key as keyof ClientInput['likes']]]),
  ) as ClientInput['likes'];
  return {
    name: a.name,
    bornOn: a.bornOn ?? b.bornOn,
    phone: a.phone || b.phone,
    email: a.email || b.email,
    address: a.address || b.address,
    emergencyContact: a.emergencyContact || b.emergencyContact,
    dueOn: a.dueOn ?? b.dueOn,
    heightCm: a.heightCm ?? b.heightCm,
    language: a.language || b.language,
    // Whoever said no under one of two names has said no.
    messagesBy: a.messagesBy === 'none' || b.messagesBy === 'none' ? 'none' : a.messagesBy || b.messagesBy,
    medicines: medicines.join('\n'),
    likes,
    note: [...new Set(notes)].join('\n'),
  };
}

function differences(a: ClientInput, b: ClientInput): MergePreview['differing'] {
  const fields = ['name', 'bornOn', 'phone', 'email', 'address', 'emergencyContact'] as const;
  return fields.flatMap((field) => {
    const [kept, dropped] = [a[field] ?? '', b[field] ?? ''];
    return kept !== '' && dropped !== '' && kept !== dropped ? [{ field, kept, dropped }] : [];
  });
}

/** Makes one record of two. The other is left as a signpost that searches no longer find; its old data stays as versions. */
export async function mergeClients(
  db: Db,
  keepId: number,
  dropId: number,
  versions: { readonly keep: number; readonly drop: number },
  actor: Actor,
): Promise<{ readonly kind: 'saved'; readonly id: number } | SaveRefusal> {
  const now = actor.now.toISOString();
  return db.transaction().execute(async (trx) => {
    const preview = await previewMerge(trx, keepId, dropId);
    const keep = await findClient(trx, keepId);
    if (!preview || !keep) return { kind: 'not-found' } as const;
    if (preview.keep.version !== versions.keep || preview.drop.version !== versions.drop)
      return { kind: 'edited-elsewhere' } as const;
    await changeClient(trx, keep, preview.merged, actor.therapistId, now);
    await moveRows(trx, dropId, keepId);
    await followClient(trx, keepId, actor.now);
    await setMerged(trx, dropId, keepId, now);
    await insertAudit(trx, {
      at: now,
      by: actor.therapistId,
      action: 'clients merged',
      subject: `client ${keepId}`,
      detail: `client ${dropId}`,
    });
    return { kind: 'saved', id: keepId } as const;
  });
}
