import type { Migration } from '../migration';

/** What came with an import of clients, so that it can be taken back in one press. */
export const rememberImports: Migration = {
  name: '0022_remember_imports',
  sql: `
create table client_import (
  id integer primary key,
  at text not null,
  by integer references therapist (id),
  file text not null,
  added integer not null default 0,
  completed integer not null default 0,
  undone_at text
) strict;

create table client_import_row (
  import_id integer not null references client_import (id),
  client_id integer not null references client (id),
  kind text not null check (kind in ('added', 'completed')),
  version integer not null,
  primary key (import_id, client_id)
) strict, without rowid;
create index client_import_row_by_client on client_import_row (client_id);
`,
};
