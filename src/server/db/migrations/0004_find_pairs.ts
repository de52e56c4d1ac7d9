import type { Migration } from '../migration';

/** Tapings taken twice over, by whoever took them: what a therapist's own error is worked out from. */
export const findPairs: Migration = {
  name: '0004_find_pairs',
  sql: `
create index taping_pairs on taping (recorded_by, id) where again_json is not null and is_latest = 1;
`,
};
