import type { Migration } from '../migration';

/**
 * One device leads a treatment. What another one still sends is kept aside: it is on record, but the treatment is not
 * replayed from it.
 */
export const leadTheTable: Migration = {
  name: '0010_lead_the_table',
  sql: `
alter table table_event add column device_id text;
alter table table_event add column number integer;
alter table table_event add column is_aside integer not null default 0;

create table table_lead (
  visit_id integer primary key references visit (id),
  device_id text not null,
  taken_at text not null
) strict;
`,
};
