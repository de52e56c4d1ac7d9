import type { Migration } from '../migration';

/**
 * Measures of a client, also those taken outside a visit: tapings with their second readings and what they were taken
 * under, what was felt and seen, photographs, flags that ask for a referral; protocols and settings of the house.
 */
export const measureAndLookBack: Migration = {
  name: '0003_measure_and_look_back',
  sql: `
-- A taping belongs to a client; a visit, and arm beside leg, are no longer what makes it one of a kind.
create table taping_now (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  taken_at text not null,
  phase text not null check (phase in ('baseline', 'before', 'after', 'follow-up')),
  version integer not null check (version > 0),
  is_latest integer not null default 1 check (is_latest in (0, 1)),
  limb text not null check (limb in ('arm', 'leg')),
  side text not null check (side in ('left', 'right')),
  unit text not null check (unit in ('cm', 'in')),
  method text not null,
  protocol text not null default '',
  positions_json text not null,
  affected_json text not null,
  reference_json text not null,
  again_json text,
  context_json text not null default '{}',
  affected_ml real,
  reference_ml real,
  excess_ml real,
  excess_percent real,
  affected_sd_ml real,
  excess_sd_ml real,
  source text not null default 'typed' check (source in ('typed', 'tape', 'import')),
  recorded_at text not null,
  recorded_by integer references therapist (id)
) strict;
insert into taping_now (id, client_id, visit_id, taken_at, phase, version, is_latest, limb, side, unit, method,
  positions_json, affected_json, reference_json, affected_ml, reference_ml, excess_ml, excess_percent, affected_sd_ml,
  excess_sd_ml, recorded_at, recorded_by)
select t.id, v.client_id, t.visit_id,
  (select min(f.recorded_at) from taping f where f.visit_id = t.visit_id and f.phase = t.phase),
  t.phase, t.version,
  not exists (select 1 from taping n where n.visit_id = t.visit_id and n.phase = t.phase and n.version > t.version),
  t.limb, t.side, t.unit, t.method, t.positions_json, t.affected_json, t.reference_json, t.affected_ml, t.reference_ml,
  t.excess_ml, t.excess_percent, t.affected_sd_ml, t.excess_sd_ml, t.recorded_at, t.recorded_by
from taping t join visit v on v.id = t.visit_id;
drop table taping;
alter table taping_now rename to taping;
create unique index taping_of_visit on taping (visit_id, phase, limb, version) where visit_id is not null;
create unique index taping_apart on taping (client_id, taken_at, phase, limb, version) where visit_id is null;
create index taping_latest on taping (client_id, taken_at) where is_latest = 1;
create index taping_by_client on taping (client_id);

-- What was felt, seen, measured otherwise or said; each kind with a value of its own shape.
create table observation (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  taken_at text not null,
  phase text not null check (phase in ('before', 'after')),
  kind text not null,
  place text,
  value_json text not null,
  replaces integer references observation (id),
  recorded_at text not null,
  recorded_by integer references therapist (id),
  ended_at text,
  ended_by integer references therapist (id)
) strict;
create index observation_by_client on observation (client_id, taken_at) where ended_at is null;
create index observation_by_visit on observation (visit_id) where ended_at is null;
create index observation_of_client on observation (client_id);
create index observation_by_replaced on observation (replaces) where replaces is not null;

create table photo (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  attachment_id integer not null references attachment (id),
  pose text not null,
  phase text not null check (phase in ('before', 'after')),
  taken_at text not null,
  recorded_by integer references therapist (id)
) strict;
create index photo_by_client on photo (client_id, pose, taken_at);
create index photo_by_attachment on photo (attachment_id);
create index photo_by_visit on photo (visit_id);

-- A sign that asks for a physician; it stays until somebody closes it with a note.
create table referral_flag (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  rule text not null,
  level text not null check (level in ('emergency', 'same-day', 'soon', 'note')),
  why text not null,
  raised_at text not null,
  raised_by integer references therapist (id),
  closed_at text,
  closed_by integer references therapist (id),
  close_note text not null default ''
) strict;
create index referral_flag_open on referral_flag (client_id) where closed_at is null;
create index referral_flag_by_client on referral_flag (client_id);
create index referral_flag_by_visit on referral_flag (visit_id);

create table tape_protocol (
  id integer primary key autoincrement,
  limb text not null check (limb in ('arm', 'leg')),
  name text not null,
  zero text not null,
  posture text not null,
  stop text not null,
  rest_minutes integer not null check (rest_minutes between 0 and 60),
  positions_json text not null,
  eight text check (eight in ('hand', 'ankle')),
  made_at text not null,
  made_by integer references therapist (id),
  archived_at text
) strict;

-- How this client is measured: protocols, swollen side, stronger hand, order, unit.
alter table client add column measuring_json text not null default '{}';

-- The rest of what is asked and looked at in the end.
alter table closing add column warmth integer check (warmth between -2 and 2);
alter table closing add column scent integer check (scent between -2 and 2);
alter table closing add column relaxation_before integer check (relaxation_before between 0 and 10);
alter table closing add column relaxation_after integer check (relaxation_after between 0 and 10);
alter table closing add column redness_before integer check (redness_before between 0 and 4);
-- Minutes until redness was back, or −1 for “not yet at the last look”.
alter table closing add column fade_minutes integer check (fade_minutes between -1 and 10080);
`,
};
