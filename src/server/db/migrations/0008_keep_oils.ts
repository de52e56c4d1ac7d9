import type { Migration } from '../migration';

/** Bottles and what goes out of them, blends of the house, what was mixed for whom, and how noses and skins answered. */
export const keepOils: Migration = {
  name: '0008_keep_oils',
  sql: `
alter table client add column height_cm real check (height_cm > 0);

create table oil_bottle (
  id integer primary key autoincrement,
  kind text not null check (kind in ('essential', 'carrier')),
  oil text not null,
  lot text not null default '',
  opened_on text,
  printed_on text,
  size_ml real not null check (size_ml > 0),
  left_ml real not null check (left_ml >= 0),
  cost_cents integer not null default 0 check (cost_cents >= 0),
  drops_per_ml real check (drops_per_ml > 0),
  state text not null default 'in-use' check (state in ('in-use', 'empty', 'discarded')),
  note text not null default '',
  added_at text not null
) strict;

-- A blend that the house keeps as its own.
create table oil_blend (
  id integer primary key autoincrement,
  name text not null,
  blend_json text not null,
  made_at text not null,
  made_by integer references therapist (id),
  removed_at text
) strict;

-- A bottle that is or was mixed: for a client, or for the house to pour from.
create table oil_mix (
  id integer primary key autoincrement,
  client_id integer references client (id),
  visit_id integer references visit (id),
  blend_json text not null,
  counted_json text not null default '{}',
  state text not null default 'mixing' check (state in ('mixing', 'mixed', 'given-up')),
  left_ml real not null default 0 check (left_ml >= 0),
  cost_cents integer not null default 0,
  use_by text,
  started_at text not null,
  mixed_at text,
  mixed_by integer references therapist (id)
) strict;
create index oil_mix_by_client on oil_mix (client_id, mixed_at);
create index oil_mix_by_visit on oil_mix (visit_id);

-- What came out of a bottle, and why.
create table oil_draw (
  id integer primary key autoincrement,
  bottle_id integer not null references oil_bottle (id),
  ml real not null,
  why text not null check (why in ('mixed', 'corrected', 'discarded')),
  mix_id integer references oil_mix (id) on delete set null,
  done_at text not null,
  done_by integer references therapist (id)
) strict;
create index oil_draw_by_bottle on oil_draw (bottle_id, done_at);
create index oil_draw_by_day on oil_draw (done_at);

-- The blend that a visit carries, one for the body and one for the face.
create table visit_blend (
  visit_id integer not null references visit (id),
  area text not null check (area in ('body', 'face')),
  blend_json text not null,
  mix_id integer references oil_mix (id) on delete set null,
  poured_from integer references oil_mix (id) on delete set null,
  chosen_at text not null,
  chosen_by integer references therapist (id),
  primary key (visit_id, area)
) strict;

create table smell_choice (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  strips_json text not null,
  chosen integer,
  done_at text not null,
  done_by integer references therapist (id)
) strict;
create index smell_choice_by_client on smell_choice (client_id, done_at);

create table patch_test (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  what text not null,
  placed_at text not null,
  placed_by integer references therapist (id),
  readings_json text not null default '[]',
  ended_at text
) strict;
create index patch_test_open on patch_test (placed_at) where ended_at is null;
create index patch_test_by_client on patch_test (client_id, placed_at);
`,
};
