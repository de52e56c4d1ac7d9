import type { Migration } from '../migration';

/** In which language a client reads; '': as the house does. A consent says in which it was read and signed. */
export const speakToClients: Migration = {
  name: '0014_speak_to_clients',
  sql: `
alter table client add column language text not null default '';
alter table consent add column language text not null default 'en';
alter table consent_wording add column others_json text not null default '{}';
`,
};
