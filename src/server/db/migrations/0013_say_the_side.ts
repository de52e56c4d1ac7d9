import type { Migration } from '../migration';

/** On which side something was marked at the table; null where it was not said, and for marks of before. */
export const sayTheSide: Migration = {
  name: '0013_say_the_side',
  sql: `alter table table_event add column side text check (side in ('left', 'right', 'both'));`,
};
