import type { Migration } from '../migration';

/**
 * Sheets that clients take home, links to them, and when they were done. Of a link only a hash is stored. A sheet is
 * never changed: another one takes its place.
 */
export const sendHome: Migration = {
  name: '0011_send_home',
  sql: `
create table home_sheet (
  id integer primary key,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  routine text not null,
  language text not null,
  wish_json text not null,
  sheet_json text not null,
  made_by integer references therapist (id),
  made_at text not null,
  ended_at text
) strict;
create index home_sheet_by_client on home_sheet (client_id, made_at);

create table home_link (
  token_hash text primary key,
  sheet_id integer not null references home_sheet (id) on delete cascade,
  made_at text not null,
  expires_at text not null,
  revoked_at text
) strict;
create index home_link_by_sheet on home_link (sheet_id);

create table home_tick (
  id text primary key,
  client_id integer not null references client (id),
  sheet_id integer not null references home_sheet (id) on delete cascade,
  modality text not null,
  day text not null,
  origin text not null,
  ticked_at text not null
) strict;
create index home_tick_by_client on home_tick (client_id, day);
create index home_tick_by_sheet on home_tick (sheet_id, day);
`,
};
