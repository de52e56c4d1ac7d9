import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { describe, expect, it } from 'vitest';
import { searchClients } from '../clients/clients.repository';
import { listFindings } from '../screening/findings.repository';
import { findHouse, listStaff } from '../people/people.repository';
import { signIn } from '../auth/sign-in';
import { setUpHouse } from '../people/set-up-house';
import { readVisit } from '../visits/read-visit';
import { openDatabase } from './connection';
import { migrate, migrations } from './migrate';
import type { Migration } from './migration';
import { createTheHouse } from './migrations/0001_create_the_house';

const first: Migration = { name: '0001_make_jar', sql: 'create table jar (id integer primary key) strict' };
const second: Migration = { name: '0002_add_lid', sql: 'alter table jar add column lid text' };

it('whatever points to a client or a visit is found without looking through a whole table', () => {
  const db = new SQLite(':memory:');
  migrate(db);
  const tables = db.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[];
  const slow = tables.flatMap((table) =>
    (db.prepare(`pragma foreign_key_list('${table}')`).all() as { from: string; table: string }[])
      .filter((key) => key.table === 'client' || key.table === 'visit')
      .filter((key) => {
        const plan = db.prepare(`explain query plan select 1 from ${table} where ${key.from} = 1`).all();
        return (plan as { detail: string }[]).some(({ detail }) => detail.startsWith('SCAN'));
      })
      .map((key) => `${table}.${key.from}`),
  );
  expect(slow).toEqual([]);
});

describe('migrations', () => {
  it('run once, in order, and again only what is new', () => {
    const db = new SQLite(':memory:');
    migrate(db, [first]);
    migrate(db, [first, second]);
    migrate(db, [first, second]);
    expect(db.prepare('select name from migration order by name').pluck().all()).toEqual([
      '0001_make_jar',
      '0002_add_lid',
    ]);
    expect(() => db.prepare('select lid from jar').all()).not.toThrow();
  });

  it.each(migrations.map(({ name }, i) => [name, i + 1] as const))(
    'bring a house that stopped at %s to the form of today, the same as a new one',
    (_, count) => {
      const shapeOf = (db: SQLite.Database) =>
        db.prepare('select name, sql from sqlite_master where sql is not null order by name').all();
      const [old, fresh] = [new SQLite(':memory:'), new SQLite(':memory:')];
      migrate(old, migrations.slice(0, count));
      migrate(old);
      migrate(fresh);
      expect(shapeOf(old)).toEqual(shapeOf(fresh));
    },
  );

  it('refuse a migration that was changed after it ran', () => {
    const db = new SQLite(':memory:');
    migrate(db, [first]);
    expect(() => migrate(db, [{ ...first, sql: 'create table pot (id integer) strict' }])).toThrow(
      'does not fit this version',
    );
  });

  it('refuse a database that a newer version wrote', () => {
    const db = new SQLite(':memory:');
    migrate(db, [first, second]);
    expect(() => migrate(db, [first])).toThrow('newer version');
  });

  it('leave nothing behind when one fails', () => {
    const db = new SQLite(':memory:');
    expect(() =>
      migrate(db, [{ name: '0001_half', sql: 'create table half (id integer) strict; nonsense;' }]),
    ).toThrow();
    expect(db.prepare("select count(*) from sqlite_master where name = 'half'").pluck().get()).toBe(0);
  });

  it('make the real schema with strict tables only', () => {
    const db = new SQLite(':memory:');
    migrate(db);
    const loose = db
      .prepare(
        "select name from pragma_table_list where schema = 'main' and type = 'table' and strict = 0 and name not like 'sqlite_%'",
      )
      .pluck()
      .all();
    expect(loose).toEqual([]);
  });
});

describe('a house of the first version', () => {
  it('keeps everything when it is opened by this one: clients are found, findings hold, somebody may go in', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-old-'));
    const old = new SQLite(path.join(folder, 'velvet-stone.sqlite'));
    migrate(old, [createTheHouse]);
    old.exec(`
      insert into house (id, name, scenario, school_json, created_at) values (1, 'Haus', '', '{"start":"neck-first","hand":"stretch","removedSide":"reroute-only","exits":2}', '2026-01-01');
      insert into therapist (id, name, initials, title, qualifications_json, room)
        values (1, 'Ida Moor', 'IM', 'Owner', '["massage"]', 'Room 1'), (2, 'Bo Farn', 'BF', '', '[]', '');
      insert into client (id, name, search_name, born_on, phone, note, created_at)
        values (1, 'Zoë Ahorn', 'zoe ahorn', '1970-05-01', '0700-12 34', 'shy', '2026-01-01');
      insert into finding (id, client_id, kind, side, regions_json, crosses_json, since_on, note, recorded_at)
        values (1, 1, 'nodes-removed-inguinal', 'left', null, null, '2023-06-12', 'left', '2026-01-01');
      insert into visit (id, client_id, therapist_id, starts_at, minutes, purpose, focus_json)
        values (1, 1, 1, '2026-11-25T09:00:00.000Z', 45, 'swelling', '["leg.left"]');
    `);
    old.close();

    const db = openDatabase(folder);
    for (const typed of ['zoe', '12 34', 'ahorm']) expect(await searchClients(db, typed, 5), typed).toHaveLength(1);
    expect(await listFindings(db, 1)).toMatchObject([
      { id: 'nodes-removed-inguinal', side: 'left', sinceOn: '2023-06-12', isUnsure: false, clearance: null },
    ]);
    expect((await listStaff(db)).map(({ role, hasPassword }) => [role, hasPassword])).toEqual([
      ['owner', false],
      ['therapist', false],
    ]);
    const house = {
      name: 'Other',
      therapistName: 'Ida Moor',
      login: 'ida',
      password: 'three wet pebbles',
      pin: '2719',
      qualifications: [],
    };
    const actor = { therapistId: null, now: new Date() };
    expect((await setUpHouse(db, { ...house, password: 'short' }, actor)).kind).toBe('refused');
    expect(await setUpHouse(db, house, actor)).toEqual({ kind: 'saved', ownerId: 1 });
    expect((await setUpHouse(db, house, actor)).kind).toBe('edited-elsewhere');
    expect((await signIn(db, 'ida', house.password, actor.now)).kind).toBe('signed-in');
    expect((await findHouse(db))?.name).toBe('Haus');
    expect((await readVisit(db, 1))?.client.about).toBe('Left groin nodes removed');
    await db.destroy();
    rmSync(folder, { recursive: true, force: true });
  });

  it('keeps every version of its tapings, and knows which is the newest', async () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'velvet-stone-old-tapes-'));
    const old = new SQLite(path.join(folder, 'velvet-stone.sqlite'));
    migrate(old, [createTheHouse]);
    old.exec(`
      insert into therapist (id, name, initials, title, qualifications_json, room) values (1, 'Ida', 'I', '', '[]', '');
      insert into client (id, name, search_name, created_at) values (1, 'Zoë', 'zoe', '2026-01-01');
      insert into visit (id, client_id, therapist_id, starts_at, minutes, purpose, focus_json)
        values (7, 1, 1, '2026-11-25T09:00:00.000Z', 45, 'swelling', '[]');
      insert into taping (visit_id, phase, version, limb, side, unit, method, positions_json, affected_json, reference_json, recorded_at)
        values (7, 'before', 1, 'leg', 'left', 'cm', 'frustum', '[0,4]', '[22,null]', '[21,22]', '2026-11-25T09:05:00.000Z'),
               (7, 'before', 2, 'leg', 'left', 'cm', 'frustum', '[0,4]', '[22,24]', '[21,22]', '2026-11-25T09:06:00.000Z'),
               (7, 'after', 1, 'leg', 'left', 'cm', 'frustum', '[0,4]', '[21,23]', '[21,22]', '2026-11-25T09:50:00.000Z');
    `);
    old.close();
    const db = openDatabase(folder);
    const rows = await db.selectFrom('taping').selectAll().orderBy('id').execute();
    expect(
      rows.map((row) => [row.client_id, row.phase, row.version, row.is_latest, row.taken_at.slice(11, 16)]),
    ).toEqual([
      [1, 'before', 1, 0, '09:05'],
      [1, 'before', 2, 1, '09:05'],
      [1, 'after', 1, 1, '09:50'],
    ]);
    await db.destroy();
    rmSync(folder, { recursive: true, force: true });
  });
});
