import type { Migration } from '../migration';

/**
 * Messages leave the house by the way that a client agreed to, say what they are about, are tried again, and are known
 * by a name of their own when a report on them comes back.
 */
export const askBeforeWriting: Migration = {
  name: '0023_ask_before_writing',
  sql: `
alter table client add column messages_by text not null default '' check (messages_by in ('', 'text', 'mail', 'none'));
alter table client add column messages_said_at text;

alter table reminder add column kind text not null default 'expected'
  check (kind in ('expected', 'booked', 'moved', 'cancelled'));
alter table reminder add column tries integer not null default 0;
alter table reminder add column next_try_at text;
alter table reminder add column mail_key text;
create unique index reminder_by_mail_key on reminder (mail_key) where mail_key is not null;
`,
};
