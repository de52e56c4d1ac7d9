/** The process is ended while the house is encrypted, restored or backed up: it is whole afterwards, in its old form or its new. */
import { cpSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { URLSearchParams } from 'node:url';
import { startServer } from '../served.mjs';
import { keepingCommands } from '../setup.mjs';
import { databaseOf, killWhile, look, ownerOf, wait } from './caller.mjs';

const passphrase = 'grey herons over wet stones';

async function prepare(folder) {
  const [data, backups] = [path.join(folder, 'data'), path.join(folder, 'backups')];
  mkdirSync(backups, { recursive: true });
  const server = await startServer({ data });
  const owner = await ownerOf(server.url);
  await owner.proved('PUT', '/api/keeping', { folder: backups, passphrase });
  return { data, backups, server, owner, port: server.port };
}

const wholeIn = (backups) => readdirSync(backups).filter((name) => name.endsWith('.age'));

const unseal = (url) =>
  fetch(`${url}/unseal`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: url, 'content-type': 'application/x-www-form-urlencoded' },
    body: new URLSearchParams({ passphrase, then: '/' }).toString(),
  });

export async function killInEncryption({ folder, times, random }) {
  const { isSealed } = await keepingCommands();
  let { data, server, owner, port } = await prepare(folder);
  const kept = [];
  let lost = 0;
  let done = 0;
  for (let kill = 0; kill < times; kill += 1) {
    kept.push((await owner.call('POST', '/api/clients', { name: `Sealed ${kill}` })).body.id);
    const wasSealed = isSealed(databaseOf(data));
    const answer = await killWhile(server, 50 + random() * 1500, () =>
      owner.proved('POST', `/api/keeping/${wasSealed ? 'decryption' : 'encryption'}`, { passphrase }),
    );
    const now = isSealed(databaseOf(data));
    // What was acknowledged is so; what was not may be either way.
    if (answer?.status === 200 && now === wasSealed) lost += 1;
    if (now !== wasSealed) done += 1;
    server = await startServer({ data, port, isSealed: now });
    if (now && (await unseal(server.url)).status !== 303) throw new Error('the passphrase does not open the house');
    owner = await ownerOf(server.url);
    if ((await owner.call('GET', `/clients/${kept.at(-1)}`)).status !== 200) lost += 1;
  }
  for (const id of kept) if ((await owner.call('GET', `/clients/${id}`)).status !== 200) lost += 1;
  await server.stop();
  return { lost, words: `${times} kills, ${done} of them after the exchange` };
}

export async function killInRestore({ folder, times, random }) {
  const { data, backups, server: first, owner: before, port } = await prepare(folder);
  await before.proved('POST', '/api/keeping/backup');
  while (wholeIn(backups).length === 0) await wait(100);
  await wait(500);
  const [name] = wholeIn(backups);
  const { id } = (await before.call('POST', '/api/clients', { name: 'Seit Der Sicherung' })).body;
  await first.stop();
  const kept = path.join(folder, 'kept');
  cpSync(data, kept, { recursive: true });
  const clients = look(data, 'select count(*) from client');
  const visits = look(data, 'select count(*) from visit');
  let lost = 0;
  let done = 0;
  for (let kill = 0; kill < times; kill += 1) {
    let server = await startServer({ data, port });
    let owner = await ownerOf(server.url);
    const answer = await killWhile(server, 200 + random() * 4500, () =>
      owner.proved('POST', '/api/keeping/restore', { name, passphrase: '' }),
    );
    server = await startServer({ data, port });
    owner = await ownerOf(server.url);
    const isOld = (await owner.call('GET', `/clients/${id}`)).status === 200;
    await server.stop();
    if (!isOld) done += 1;
    if (answer?.status === 200 && isOld) lost += 1;
    if (look(data, 'select count(*) from client') !== (isOld ? clients : clients - 1)) lost += 1;
    if (look(data, 'select count(*) from visit') !== visits) lost += 1;
    rmSync(data, { recursive: true, force: true });
    cpSync(kept, data, { recursive: true });
  }
  return { lost, words: `${times} kills, ${done} of them after the exchange` };
}

export async function killInBackup({ folder, times, random }) {
  let { data, backups, server, port } = await prepare(folder);
  for (let kill = 0; kill < times; kill += 1) {
    const owner = await ownerOf(server.url);
    await killWhile(server, 20 + random() * 2500, async () => {
      await owner.proved('POST', '/api/keeping/backup');
      await wait(5000);
    });
    server = await startServer({ data, port });
  }
  // Whatever lies there under the name of a backup is one: each is checked from end to end.
  const owner = await ownerOf(server.url);
  const names = wholeIn(backups).slice(0, 10);
  let lost = 0;
  for (const name of names) {
    const looked = await owner.proved('POST', '/api/keeping/look', { name, passphrase });
    if (looked?.status !== 200) lost += 1;
  }
  await server.stop();
  return { lost, words: `${times} kills, ${names.length} backups under their name, each sound` };
}
