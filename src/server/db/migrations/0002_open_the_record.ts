import type { Migration } from '../migration';

/**
 * The record as a house relies on it: conditions in the words of screening, intake and consent, contact data with
 * versions, files, sign-in with roles, bookings that can be moved, reminders, and a search that forgives.
 */
export const openTheRecord: Migration = {
  name: '0002_open_the_record',
  sql: `
-- Findings take the names of screening; what drainage calls them is worked out.
update finding set kind = 'irradiated-skin' where kind = 'irradiated';
update finding set kind = 'scar-mature' where kind = 'scar';
update finding set kind = 'cancer-past' where kind = 'cancer-history';
alter table finding add column is_unsure integer not null default 0 check (is_unsure in (0, 1));
alter table finding add column clearance_json text;
alter table finding add column answers_json text not null default '{}';
alter table finding add column source text not null default 'therapist' check (source in ('therapist', 'client'));
alter table finding add column replaces integer references finding (id);
alter table finding add column end_reason text not null default '';
create index finding_by_replaced on finding (replaces) where replaces is not null;

-- A client's contact data and likes; every change keeps what was there before.
alter table client add column email text not null default '';
alter table client add column address text not null default '';
alter table client add column emergency_contact text not null default '';
alter table client add column due_on text;
alter table client add column medicines text not null default '';
alter table client add column likes_json text not null default '{}';
alter table client add column version integer not null default 1;
alter table client add column changed_at text;
alter table client add column changed_by integer references therapist (id);
alter table client add column archived_at text;
alter table client add column merged_into integer references client (id);
create table client_version (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  version integer not null check (version > 0),
  before_json text not null,
  changed_at text not null,
  changed_by integer references therapist (id),
  unique (client_id, version)
) strict;

-- What was answered to each question of the intake: appended, the newest counts.
create table intake_answer (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  condition text not null,
  answer text not null check (answer in ('yes', 'no', 'unsure')),
  source text not null check (source in ('therapist', 'client')),
  recorded_at text not null,
  recorded_by integer references therapist (id)
) strict;
create index intake_answer_by_client on intake_answer (client_id, condition, id);

create table consent_wording (
  version integer primary key,
  text_json text not null,
  made_at text not null,
  made_by integer references therapist (id)
) strict;
create table consent (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  visit_id integer references visit (id),
  wording_version integer not null references consent_wording (version),
  areas_json text not null,
  signer text not null check (signer in ('client', 'guardian')),
  name text not null,
  drawing text,
  signed_at text not null,
  recorded_by integer references therapist (id),
  withdrawn_at text
) strict;
create index consent_by_client on consent (client_id, signed_at);

create table attachment (
  id integer primary key autoincrement,
  client_id integer not null references client (id),
  name text not null,
  media_type text not null,
  bytes integer not null check (bytes > 0),
  sha256 text not null,
  content blob not null,
  added_at text not null,
  added_by integer references therapist (id)
) strict;
create index attachment_by_client on attachment (client_id);

create table screening_override (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  modality text not null,
  limit_key text not null,
  old_json text not null,
  new_json text not null,
  reason text not null,
  made_at text not null,
  made_by integer references therapist (id),
  ended_at text
) strict;
create index screening_override_by_visit on screening_override (visit_id) where ended_at is null;

-- Staff: therapists, and assistants who see the day and contact data.
alter table therapist add column role text not null default 'therapist' check (role in ('owner', 'therapist', 'assistant'));
alter table therapist add column login text;
alter table therapist add column password_hash text;
alter table therapist add column pin_hash text;
alter table therapist add column failed_sign_ins integer not null default 0;
alter table therapist add column locked_until text;
alter table therapist add column left_at text;
alter table therapist add column hours_json text not null default '{}';
create unique index therapist_by_login on therapist (login) where login is not null;
update therapist set role = 'owner' where id = (select min(id) from therapist);

create table session (
  token_hash text primary key,
  staff_id integer not null references therapist (id),
  created_at text not null,
  seen_at text not null,
  expires_at text not null,
  locked_at text,
  handed_visit_id integer references visit (id),
  failed_pins integer not null default 0
) strict;
create index session_by_staff on session (staff_id);

alter table visit add column cancelled_at text;
alter table visit add column cancel_reason text not null default '';
alter table visit add column series text;
alter table visit add column moved_from text;
alter table visit add column sequence integer not null default 0;

alter table house add column settings_json text not null default '{}';

create table reminder (
  id integer primary key autoincrement,
  visit_id integer not null references visit (id),
  channel text not null check (channel in ('text', 'mail')),
  address text not null,
  words text not null,
  due_at text not null,
  state text not null default 'waiting' check (state in ('waiting', 'sent', 'failed', 'cancelled')),
  settled_at text,
  trouble text not null default ''
) strict;
create index reminder_by_state on reminder (state, due_at);
create index reminder_by_visit on reminder (visit_id);

create index audit_by_subject on audit (subject);
create index client_by_birthday on client (born_on);
create index client_by_mail on client (lower(email)) where email <> '';
create index client_by_number on client (replace(replace(phone, ' ', ''), '-', ''));
create index intake_answer_latest on intake_answer (client_id, recorded_at);

-- Search: whole words and their beginnings, and three letters in a row for what is mistyped.
create virtual table client_words using fts5 (name, phone, email, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3');
create virtual table client_letters using fts5 (name, email, tokenize = 'trigram remove_diacritics 1');
insert into client_words (client_words, rank) values ('secure-delete', 1);
insert into client_letters (client_letters, rank) values ('secure-delete', 1);
insert into client_words (rowid, name, phone, email) select id, name, replace(replace(phone, ' ', ''), '-', ''), email from client;
insert into client_letters (rowid, name, email) select id, name, email from client;
create trigger client_search_added after insert on client begin
  insert into client_words (rowid, name, phone, email)
    values (new.id, new.name, replace(replace(new.phone, ' ', ''), '-', ''), new.email);
  insert into client_letters (rowid, name, email) values (new.id, new.name, new.email);
end;
create trigger client_search_changed after update of name, phone, email on client begin
  update client_words set name = new.name, phone = replace(replace(new.phone, ' ', ''), '-', ''), email = new.email
    where rowid = new.id;
  update client_letters set name = new.name, email = new.email where rowid = new.id;
end;
create trigger client_search_removed after delete on client begin
  delete from client_words where rowid = old.id;
  delete from client_letters where rowid = old.id;
end;
`,
};
