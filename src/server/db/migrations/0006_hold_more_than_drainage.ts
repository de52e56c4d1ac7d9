import type { Migration } from '../migration';

/** What a visit is booked for beside drainage, treatments kept to be taken again, and what was changed while one runs. */
export const holdMoreThanDrainage: Migration = {
  name: '0006_hold_more_than_drainage',
  sql: `
-- Empty: drainage of the visit's focus alone.
alter table visit add column holds_json text not null default '';

-- What of the room list is ready, by its words.
alter table visit add column ready_json text not null default '[]';

alter table table_event add column change_json text;

-- A treatment to be taken again: of the house where it names no client, else what is usual for that client.
create table treatment_template (
  id integer primary key autoincrement,
  client_id integer references client (id),
  name text not null,
  holds_json text not null,
  made_at text not null,
  made_by integer references therapist (id),
  removed_at text
) strict;
create index treatment_template_of_client on treatment_template (client_id) where removed_at is null;
`,
};
