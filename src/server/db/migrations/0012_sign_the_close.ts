import type { Migration } from '../migration';

/** What else is noted at the end, as one document a version; and who signed which version, when. */
export const signTheClose: Migration = {
  name: '0012_sign_the_close',
  sql: `
alter table closing add column more_json text not null default '{}';

create table signature (
  id integer primary key,
  visit_id integer not null references visit (id),
  closing_version integer not null,
  therapist_id integer references therapist (id),
  signed_at text not null
) strict;
create index signature_by_visit on signature (visit_id, id);
`,
};
