import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { ClientInput } from '../../contracts/record';
import { openDatabase } from '../db/connection';
import { findClient, toClientData } from './clients.repository';
import { largestFileBytes } from '../../contracts/routes/clients';
import sharp from 'sharp';
import { attachFile, removeAttachment, safeName } from './attach-file';
import { findAttachment } from './attachments.repository';
import { eraseClient, exportClient } from './erase-client';
import { addFinding, correctFinding } from '../screening/save-finding';
import { actor, finding, now, openHouse, type TestHouse } from '../shared/test-house';
import { findDoubles, findDoublesOf } from './find-doubles';
import { mergeClients, previewMerge } from './merge-clients';
import { readAudit } from '../house/read-audit';
import { findClients, readClient, readContact } from './read-client';
import { addClient, archiveClient, correctClient } from './save-client';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

const dataOf = async (id: number) => {
  const row = await findClient(house.db, id);
  if (!row) throw new Error('no client');
  return toClientData(row);
};

describe('correcting a client', () => {
  it('keeps what was there, with who and when', async () => {
    const data = await dataOf(house.client);
    const saved = await correctClient(house.db, house.client, { ...data, phone: '0700 2', basedOn: 1 }, actor);
    expect(saved).toMatchObject({ kind: 'saved', version: 2 });
    const view = await readClient(house.db, house.client, now);
    expect(view?.corrections).toMatchObject([
      { by: 'Ida Moor', what: 'client data changed', was: expect.stringContaining('0700 1') },
    ]);
  });

  it('shows theirs to whoever saves second, and overwrites nothing', async () => {
    const data = await dataOf(house.client);
    await correctClient(house.db, house.client, { ...data, phone: '0700 2', basedOn: 1 }, actor);
    const second = await correctClient(house.db, house.client, { ...data, phone: '0700 3', basedOn: 1 }, actor);
    expect(second).toMatchObject({ kind: 'overtaken', version: 2, theirs: { phone: '0700 2' } });
    expect((await dataOf(house.client)).phone).toBe('0700 2');
  });

  it('does not let a birthday slip behind what happened in that life', async () => {
    const data = await dataOf(house.client);
    const late = await correctClient(house.db, house.client, { ...data, bornOn: '2024-01-01', basedOn: 1 }, actor);
    expect(late).toMatchObject({ kind: 'refused', errors: [{ path: 'bornOn' }] });
  });

  it('does not take a birthday of tomorrow', () => {
    const tomorrow = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
    const read = ClientInput.safeParse({ name: 'X', bornOn: tomorrow });
    expect(read.error?.issues[0]).toMatchObject({ path: ['bornOn'] });
  });
});

describe('a corrected finding', () => {
  it('takes the place of the old one, which stays with the reason', async () => {
    const [old] = (await readClient(house.db, house.client, now))?.findings ?? [];
    const changed = await correctFinding(
      house.db,
      house.client,
      old?.key ?? 0,
      { ...finding({ id: 'nodes-removed-inguinal', side: 'right', sinceOn: '2023-01-01' }), reason: 'wrong side' },
      actor,
    );
    expect(changed.kind).toBe('saved');
    const view = await readClient(house.db, house.client, now);
    expect(view?.findings).toMatchObject([{ side: 'right' }]);
    expect(view?.corrections).toMatchObject([{ what: 'finding corrected', why: 'wrong side' }]);
  });

  it('cannot be a scar across what does not touch, or along a line that is not there', async () => {
    const scar = (crosses: string[][]) =>
      addFinding(house.db, house.client, finding({ id: 'scar-mature', crosses }), actor);
    expect(await scar([['foot-top.left', 'forehead.left']])).toMatchObject({ kind: 'refused' });
    expect(await scar([['nowhere', 'elsewhere']])).toMatchObject({ kind: 'refused' });
    expect(await scar([['abdomen-lower.left', 'abdomen-upper.left']])).toMatchObject({ kind: 'saved' });
  });
});

describe('what the front desk sees', () => {
  it('is how to reach somebody and whether a note is missing, nothing of the treatment', async () => {
    const data = await dataOf(house.client);
    await correctClient(
      house.db,
      house.client,
      { ...data, note: 'shy', medicines: 'heparin', dueOn: '2027-03-01', basedOn: 1 },
      actor,
    );
    await addFinding(house.db, house.client, finding({ id: 'dvt-past', sinceOn: '2026-03' }), actor);
    const contact = await readContact(house.db, house.client, now);
    const text = JSON.stringify(contact);
    for (const secret of ['shy', 'heparin', '2027-03-01', 'groin', 'dvt', 'clot']) expect(text).not.toContain(secret);
    expect(contact).toMatchObject({ data: { phone: '0700 1' }, booked: [{ minutes: 45 }] });
  });
});

describe('duplicates', () => {
  it('are found by number, mail, or name and birthday, and named with the reason', async () => {
    const twin = (await addClient(house.db, { name: 'Zoe Ahorn', bornOn: '1970-05-01' }, actor)).id;
    const number = (await addClient(house.db, { name: 'Somebody', phone: '0700-123 45' }, actor)).id;
    await addClient(house.db, { name: 'Zoe Ahornblatt', bornOn: '1999-01-01' }, actor);
    expect(await findDoublesOf(house.db, house.client)).toEqual([
      { id: twin, name: 'Zoe Ahorn', bornOn: '1970-05-01', why: 'same name and birthday' },
    ]);
    const same = (await addClient(house.db, { name: 'Else', phone: '070012345' }, actor)).id;
    expect(await findDoublesOf(house.db, same)).toMatchObject([{ id: number, why: 'same phone number' }]);
  });

  it.each(['0700 123 45', '(0700) 123.45', '0700/12345', '0700-12345'])(
    'are found by a number that is written %s, and so is the client by its digits',
    async (phone) => {
      const { id } = await addClient(house.db, { name: 'Somebody', phone }, actor);
      const person = { name: '', bornOn: null, phone: '07 00 12 34 5', email: '' };
      expect(await findDoubles(house.db, person)).toMatchObject([{ id, why: 'same phone number' }]);
      expect((await findClients(house.db, '0700 12345', actor.now)).map((found) => found.id)).toEqual([id]);
    },
  );

  it('are found while somebody is only being typed, misspelt too', async () => {
    const typed = (person: object) =>
      findDoubles(house.db, { name: '', bornOn: null, phone: '', email: '', ...person }).then((found) =>
        found.map(({ id, why }) => `${id} ${why}`),
      );
    expect(await typed({ name: 'zoe ahorn' })).toEqual([`${house.client} same name`]);
    expect(await typed({ name: 'Zoe Ahron' })).toEqual([]);
    expect(await typed({ name: 'Zoe Ahron', bornOn: '1970-05-01' })).toEqual([
      `${house.client} same birthday, much the same name`,
    ]);
    expect(await typed({ name: 'Una Quill', bornOn: '1970-05-01' })).toEqual([]);
    expect(await typed({})).toEqual([]);
  });

  it('are merged as the preview says, and the other is no longer found', async () => {
    const drop = (
      await addClient(
        house.db,
        { name: 'Zoe Ahorn', bornOn: '1970-05-02', email: 'zoe@brook.example', note: 'music off' },
        actor,
      )
    ).id;
    await addFinding(house.db, drop, finding({ id: 'scar-mature', crosses: [['pubic.left', 'pubic.right']] }), actor);
    const preview = await previewMerge(house.db, house.client, drop);
    expect(preview).toMatchObject({
      merged: { name: 'Zoë Ahorn', email: 'zoe@brook.example', note: 'music off', phone: '0700 1' },
      differing: [
        { field: 'name', kept: 'Zoë Ahorn', dropped: 'Zoe Ahorn' },
        { field: 'bornOn', kept: '1970-05-01', dropped: '1970-05-02' },
      ],
    });
    const stale = await mergeClients(house.db, house.client, drop, { keep: 7, drop: 1 }, actor);
    expect(stale.kind).toBe('edited-elsewhere');
    expect((await mergeClients(house.db, house.client, drop, { keep: 1, drop: 1 }, actor)).kind).toBe('saved');
    expect(await dataOf(house.client)).toEqual(preview?.merged);
    expect((await readClient(house.db, house.client, now))?.findings).toHaveLength(2);
    expect((await findClients(house.db, 'ahorn', now)).map(({ id }) => id)).toEqual([house.client]);
    expect((await readContact(house.db, drop, now))?.mergedInto).toBe(house.client);
    expect(await previewMerge(house.db, house.client, drop)).toBeUndefined();
    expect(await previewMerge(house.db, house.client, house.client)).toBeUndefined();
  });
});

describe('archive, export and erasure', () => {
  it('puts aside and takes back', async () => {
    await archiveClient(house.db, house.client, true, actor);
    expect(await findClients(house.db, 'ahorn', now)).toMatchObject([{ isArchived: true }]);
    await archiveClient(house.db, house.client, false, actor);
    expect(await findClients(house.db, 'ahorn', now)).toMatchObject([{ isArchived: false }]);
    expect((await archiveClient(house.db, 99, true, actor)).kind).toBe('not-found');
  });

  it('hands out everything on record, and notes that it did', async () => {
    const out = await exportClient(house.db, house.client, actor);
    if (out.kind !== 'saved') throw new Error(out.kind);
    const text = JSON.stringify(out.document);
    for (const part of ['Zoë Ahorn', '0700 1', 'nodes-removed-inguinal', 'leg.left']) expect(text).toContain(part);
    expect((await readAudit(house.db, { page: 1, action: 'handed out' })).entries).toHaveLength(1);
  });

  it('erases and hands out what was merged into a client, too', async () => {
    const twin = (await addClient(house.db, { name: 'Zoe Ahorn', note: 'from the old book' }, actor)).id;
    await mergeClients(house.db, house.client, twin, { keep: 1, drop: 1 }, actor);
    const out = await exportClient(house.db, house.client, actor);
    expect(JSON.stringify(out)).toContain('from the old book');
    await eraseClient(house.db, house.client, 'Zoë Ahorn', actor);
    expect(await house.db.selectFrom('client').selectAll().execute()).toEqual([]);
  });

  it('erases every row that is about a client, after the name was typed, and keeps one line that it happened', async () => {
    await attachFile(house.db, house.client, { name: 'a.pdf', content: Buffer.from('%PDF-1.7\n%âãÏÓ\n') }, actor);
    expect(await eraseClient(house.db, house.client, 'Zoe', actor)).toMatchObject({ errors: [{ path: 'name' }] });
    expect((await eraseClient(house.db, house.client, 'Zoë Ahorn', actor)).kind).toBe('saved');
    const tables = [
      'client',
      'client_version',
      'finding',
      'visit',
      'reminder',
      'attachment',
      'consent',
      'intake_answer',
    ] as const;
    for (const table of tables) expect(await house.db.selectFrom(table).selectAll().execute(), table).toEqual([]);
    const { entries } = await readAudit(house.db, { page: 1 });
    expect(entries[0]).toMatchObject({ action: 'client erased', by: 'Ida Moor', clientId: null });
    expect(JSON.stringify(entries)).not.toContain('Ahorn');
  });
});

describe('erasure on disk', () => {
  it('leaves no trace of the name in any file of the data folder', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-erase-'));
    const db = openDatabase(folder);
    const name = 'Quendolin Spurlos';
    const { id } = await addClient(
      db,
      { name, phone: '0700 661 662', note: 'very particular words' },
      { therapistId: null, now },
    );
    const traces = () =>
      readdirSync(folder).filter((file) =>
        /Spurlos|spurlos|very particular/.test(readFileSync(path.join(folder, file), 'latin1')),
      );
    expect(traces()).not.toEqual([]);
    expect((await eraseClient(db, id, name, { therapistId: null, now })).kind).toBe('saved');
    expect(traces()).toEqual([]);
    await db.destroy();
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('the audit trail', () => {
  it('is newest first, and narrows by person, client, deed and day', async () => {
    await archiveClient(house.db, house.client, true, { therapistId: 2, now });
    const find = async (wish: object) => (await readAudit(house.db, { page: 1, ...wish })).entries.map((e) => e.action);
    expect(await find({})).toEqual(['client archived', 'visit booked', 'finding placed', 'client added']);
    expect(await find({ by: 2 })).toEqual(['client archived']);
    expect(await find({ about: 'ahor' })).toHaveLength(4);
    expect(await find({ about: "nobody' or 1=1" })).toEqual([]);
    expect(await find({ action: 'booked' })).toEqual(['visit booked']);
    expect(await find({ until: '2026-11-24' })).toEqual([]);
    expect((await readAudit(house.db, { page: 2 })).entries).toEqual([]);
  });
});

describe('files', () => {
  let png: Buffer;
  beforeAll(async () => {
    png = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#a57' } })
      .png()
      .toBuffer();
  });
  const attach = (name: string, content: Uint8Array) => attachFile(house.db, house.client, { name, content }, actor);

  it('are told by their content, whatever the name says', async () => {
    expect(await attach('holiday.exe', png)).toMatchObject({
      kind: 'saved',
      attachment: { name: 'holiday.png', mediaType: 'image/png' },
    });
    const exe = Buffer.concat([Buffer.from('MZ'), Buffer.alloc(200)]);
    expect(await attach('holiday.png', exe)).toMatchObject({ kind: 'refused', errors: [{ path: 'file' }] });
    const page = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>');
    expect(await attach('drawing.svg', page)).toMatchObject({ kind: 'refused' });
    expect(await attach('empty.png', Buffer.alloc(0))).toMatchObject({ kind: 'refused' });
    expect(await attach('big.png', Buffer.concat([png, Buffer.alloc(largestFileBytes)]))).toMatchObject({
      kind: 'refused',
    });
  });

  it('are given only to whose they are', async () => {
    const saved = await attach('a.png', png);
    if (saved.kind !== 'saved') throw new Error(saved.kind);
    const { id } = saved.attachment;
    const kept = (await findAttachment(house.db, house.client, id))?.content;
    expect(await sharp(kept).metadata()).toMatchObject({ format: 'png', width: 8, height: 6 });
    expect(await findAttachment(house.db, house.client + 1, id)).toBeUndefined();
    expect((await removeAttachment(house.db, house.client + 1, id, actor)).kind).toBe('not-found');
    expect((await removeAttachment(house.db, house.client, id, actor)).kind).toBe('saved');
  });

  it('tell nothing of where and when a picture was taken, and stand as they were held', async () => {
    const taken = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#a57' } })
      .withExif({ IFD0: { Make: 'Some camera', DateTime: '2026:01:01 10:00:00' }, IFD3: { GPSLatitude: '48/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const saved = await attach('a.jpg', taken);
    if (saved.kind !== 'saved') throw new Error(saved.kind);
    const kept = (await findAttachment(house.db, house.client, saved.attachment.id))?.content;
    const { exif, orientation, width, height } = await sharp(kept).metadata();
    expect({ exif, orientation, width, height }).toEqual({
      ...{ exif: undefined, orientation: undefined },
      ...{ width: 6, height: 8 },
    });
  });

  it('that are damaged pictures are refused', async () => {
    const saved = await attach('broken.png', png.subarray(0, 40));
    expect(saved).toMatchObject({ kind: 'refused', errors: [{ path: 'file' }] });
  });

  it('have names without paths or controls', () => {
    expect(safeName('../../etc/passwd', 'png')).toBe('passwd.png');
    expect(safeName('C:\\temp\\a\u0000b.exe', 'pdf')).toBe('ab.pdf');
    expect(safeName('', 'pdf')).toBe('file.pdf');
  });
});
