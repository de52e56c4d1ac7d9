import type { Migration } from '../migration';

/** The wording of the check in which its answers were given: a gate's no stands for what its words named. */
export const keepWhatWasAsked: Migration = {
  name: '0018_keep_what_was_asked',
  sql: `
alter table visit_check add column asked_json text;
`,
};
