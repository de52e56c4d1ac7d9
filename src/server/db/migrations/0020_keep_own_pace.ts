import type { Migration } from '../migration';

/** Whose plans keep to the library's pace because they are learning, and who plans at their own. */
export const keepOwnPace: Migration = {
  name: '0020_keep_own_pace',
  sql: `
alter table therapist add column is_learning integer not null default 0;
alter table therapist add column plans_at_own_pace integer not null default 0;
`,
};
