import type { Migration } from '../migration';

/** Drops that fell straight onto the skin, counted at the table; and why something left a bottle: for those, too. */
export const countDrops: Migration = {
  name: '0017_count_drops',
  sql: `
alter table table_event add column oil text;
alter table table_event add column drops integer check (drops between 0 and 99);
`,
};
