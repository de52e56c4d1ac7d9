import SQLite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { migrate, type Migration } from './migrate';

const first: Migration = { name: '0001_make_jar', sql: 'create table jar (id integer primary key) strict' };
const second: Migration = { name: '0002_add_lid', sql: 'alter table jar add column lid text' };

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

  it('refuse a migration that was changed after it ran', () => {
    const db = new SQLite(':memory:');
    migrate(db, [first]);
    expect(() => migrate(db, [{ ...first, sql: 'create table pot (id integer) strict' }])).toThrow(
      'was changed after it ran',
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
