import type { Migration } from '../migration';

/** The house's own stones and what is done to keep them. */
export const keepStones: Migration = {
  name: '0007_keep_stones',
  sql: `
create table stone (
  id integer primary key autoincrement,
  size text not null,
  material text not null,
  length_mm real not null check (length_mm > 0),
  width_mm real not null check (width_mm > 0),
  thickness_mm real not null check (thickness_mm > 0),
  mass_g real check (mass_g > 0),
  state text not null default 'in-use' check (state in ('in-use', 'chipped', 'retired')),
  note text not null default '',
  added_at text not null,
  retired_at text
) strict;

-- Of one stone, or of all and the bath where it names none.
create table stone_care (
  id integer primary key autoincrement,
  stone_id integer references stone (id),
  what text not null check (what in ('cleaned', 'oiled', 'water-changed', 'checked', 'retired')),
  done_at text not null,
  done_by integer references therapist (id)
) strict;
create index stone_care_by_stone on stone_care (stone_id, done_at);
create index stone_care_by_what on stone_care (what, done_at);
`,
};
