/** The process is ended while a house of an older version is brought up to date: afterwards it is, with every row. */
import { mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { startServer } from '../served.mjs';
import { withSource } from '../source.mjs';
import { databaseOf, look } from './caller.mjs';

const clients = 4000;

export async function killInMigration({ folder, times, random }) {
  let lost = 0;
  let ended = 0;
  await withSource(async (load) => {
    const { migrate, migrations } = await load('/src/server/db/migrate.ts');
    for (let kill = 0; kill < times; kill += 1) {
      const data = path.join(folder, 'data');
      rmSync(data, { recursive: true, force: true });
      mkdirSync(data, { recursive: true });
      const from = 1 + Math.floor(random() * (migrations.length - 1));
      const sqlite = new SQLite(databaseOf(data));
      sqlite.pragma('journal_mode = WAL');
      migrate(sqlite, migrations.slice(0, from));
      const add = sqlite.prepare(
        "insert into client (name, search_name, created_at) values (?, ?, '2026-01-01T09:00:00.000Z')",
      );
      sqlite.transaction(() => {
        for (let i = 0; i < clients; i += 1) add.run(`Client ${i}`, `client ${i}`);
      })();
      sqlite.close();
      const isOpened = await startServer({ data, demo: false, killAfterMs: 300 + random() * 1500 }).then(
        (server) => server.kill().then(() => true),
        () => false,
      );
      if (!isOpened) ended += 1;
      await (await startServer({ data, demo: false })).stop();
      if (look(data, 'select count(*) from client') !== clients) lost += 1;
      if (look(data, 'select count(*) from migration') !== migrations.length) lost += 1;
    }
  });
  return { lost, words: `${times} kills, ${ended} before the house had opened` };
}
