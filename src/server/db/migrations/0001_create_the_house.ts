import type { Migration } from '../migration';

/** People, visits and everything recorded on them. Clinical rows are never overwritten: a correction adds a version. */
export const createTheHouse: Migration = {
  name: '0001_create_the_house',
  sql: `
create table house (
  id integer primary key check (id = 1),
  name text not null,
  scenario text not null default '',
  school_json text not null,
  created_at text not null
) strict;

create table therapist (
  id integer primary key autoincrement,
  name text not null,
  initials text not null,
  title text not null,
  qualifications_json text not null,
  room text not null
) strict;

create table client (
  id integer primary key autoincrement,
  name text not null,
  search_name text not null,
  born_on text,
  phone text not null default '',
  note text not null default '',
  created_at text not null
) strict;
create index client_by_search_name on client (search_name);

create table finding (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  kind text not null,
  side text,
  regions_json text,
  crosses_json text,
  since_on text,
  note text not null default '',
  recorded_at text not null,
  recorded_by integer references therapist (id),
  ended_at text,
  ended_by integer references therapist (id)
) strict;
create index finding_by_client on finding (client_id);

create table visit (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  therapist_id integer not null references therapist (id),
  starts_at text not null,
  minutes integer not null check (minutes between 10 and 480),
  purpose text not null,
  focus_json text not null,
  stage text not null default 'ask' check (stage in ('ask', 'measure', 'plan', 'prepare', 'table', 'close', 'done', 'stopped')),
  closed_at text
) strict;
create index visit_by_start on visit (starts_at);
create index visit_by_client on visit (client_id, starts_at);
create index visit_left_open on visit (starts_at) where stage not in ('done', 'stopped');

create table visit_check (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  answers_json text not null,
  outcome text not null,
  recorded_at text not null,
  recorded_by integer references therapist (id)
) strict;
create index visit_check_by_visit on visit_check (visit_id);

create table taping (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  phase text not null check (phase in ('before', 'after')),
  version integer not null check (version > 0),
  limb text not null check (limb in ('arm', 'leg')),
  side text not null check (side in ('left', 'right')),
  unit text not null check (unit in ('cm', 'in')),
  method text not null,
  positions_json text not null,
  affected_json text not null,
  reference_json text not null,
  affected_ml real,
  reference_ml real,
  excess_ml real,
  excess_percent real,
  affected_sd_ml real,
  excess_sd_ml real,
  recorded_at text not null,
  recorded_by integer references therapist (id),
  unique (visit_id, phase, version)
) strict;

create table plan (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  version integer not null check (version > 0),
  case_json text not null,
  plan_json text not null,
  steps_json text not null,
  is_rearranged integer not null check (is_rearranged in (0, 1)),
  reason text not null default '',
  recorded_at text not null,
  recorded_by integer references therapist (id),
  unique (visit_id, version)
) strict;

create table table_event (
  sequence integer primary key autoincrement,
  id text not null unique,
  visit_id integer not null references visit (id),
  kind text not null,
  step_id text,
  plan_version integer not null,
  happened_at text not null,
  received_at text not null
) strict;
create index table_event_by_visit on table_event (visit_id, sequence);

create table closing (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  version integer not null check (version > 0),
  pressure integer check (pressure between -1 and 1),
  comfort integer check (comfort between 0 and 10),
  redness integer check (redness between 0 and 4),
  note text not null default '',
  recorded_at text not null,
  recorded_by integer references therapist (id),
  unique (visit_id, version)
) strict;

create table audit (
  id integer primary key autoincrement,
  at text not null,
  therapist_id integer references therapist (id),
  action text not null,
  subject text not null,
  detail text not null default ''
) strict;
`,
};
