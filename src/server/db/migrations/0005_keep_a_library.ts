import type { Migration } from '../migration';

/**
 * The house's own techniques and protocols: each save is a version of its own. One with the key of something that ships
 * stands before it until it is taken away again.
 */
export const keepALibrary: Migration = {
  name: '0005_keep_a_library',
  sql: `
create table library_entry (
  id integer primary key,
  kind text not null check (kind in ('technique', 'protocol')),
  key text not null,
  version integer not null check (version > 0),
  document_json text not null,
  is_latest integer not null default 1 check (is_latest in (0, 1)),
  made_at text not null,
  made_by integer references therapist (id),
  removed_at text
) strict;
create unique index library_entry_version on library_entry (kind, key, version);
create index library_entry_latest on library_entry (kind, key) where is_latest = 1 and removed_at is null;
`,
};
