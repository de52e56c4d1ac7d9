import type { Migration } from '../migration';

/** What is noted with one key while the hands are busy. */
export const markTheTable: Migration = {
  name: '0009_mark_the_table',
  sql: `
alter table table_event add column mark text;
`,
};
