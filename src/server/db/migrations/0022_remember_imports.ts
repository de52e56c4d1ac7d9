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
  before_version integer not null,
  primary key (import_id, client_id)
) strict, without rowid;
create index client_import_row_by_client on client_import_row (client_id);

-- Whoever is taken out is looked for in every table that may point to them, and so are their visits.
create index client_by_merged on client (merged_into);
-- Numbers are the same however they are written.
drop index client_by_number;
create index client_by_plain_phone on client (
  replace(replace(replace(replace(replace(replace(phone, ' ', ''), '-', ''), '(', ''), ')', ''), '/', ''), '.', '')
);
create index treatment_template_by_client on treatment_template (client_id);
create index intake_answer_visit_key on intake_answer (visit_id);
create index consent_visit_key on consent (visit_id);
create index observation_visit_key on observation (visit_id);
create index screening_override_visit_key on screening_override (visit_id);
create index smell_choice_visit_key on smell_choice (visit_id);
create index home_sheet_visit_key on home_sheet (visit_id);
create index session_by_handed on session (handed_visit_id);
`,
};
