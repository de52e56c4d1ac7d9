import type { Migration } from '../migration';

/**
 * Tries at the door are counted by who and from where; devices that somebody has signed in on are known; sessions have
 * a name of their own, say on what they are, when they were at the table, and when somebody last showed who they are.
 */
export const guardTheDoor: Migration = {
  name: '0015_guard_the_door',
  sql: `
create table sign_in_try (
  key text primary key,
  failures integer not null,
  next_at text not null,
  at text not null
) strict;
create table known_device (
  token_hash text primary key,
  staff_id integer not null references therapist (id) on delete cascade,
  created_at text not null,
  seen_at text not null
) strict;
alter table session add column name text not null default '';
update session set name = lower(hex(randomblob(8)));
create unique index session_by_name on session (name);
alter table session add column device text not null default '';
alter table session add column at_table_at text;
alter table session add column proved_at text;
alter table therapist drop column failed_sign_ins;
alter table therapist drop column locked_until;
`,
};
