import type { Migration } from '../migration';

/**
 * A secret of the house, from which the keys of drafts on devices are derived; a second factor for those who want or
 * need one; codes that open the door once, when everything else is lost.
 */
export const keepSecrets: Migration = {
  name: '0016_keep_secrets',
  sql: `
create table secret (
  name text primary key,
  value text not null
) strict;
insert into secret values ('drafts', lower(hex(randomblob(32))));
create table second_factor (
  staff_id integer primary key references therapist (id) on delete cascade,
  secret text not null,
  confirmed_at text,
  last_step integer not null default 0
) strict;
create table recovery_code (
  code_hash text primary key,
  staff_id integer not null references therapist (id) on delete cascade,
  kind text not null check (kind in ('factor', 'house')),
  made_at text not null,
  used_at text
) strict;
create index recovery_code_by_staff on recovery_code (staff_id, kind);
`,
};
