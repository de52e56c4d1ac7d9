import type { Migration } from '../migration';

/** Practising without a client: what was answered, what is known, sessions, what a trainer set, courses taken from plans. */
export const keepPractice: Migration = {
  name: '0019_keep_practice',
  sql: `
create table practice_session (
  id integer primary key,
  person_id integer not null references therapist (id) on delete cascade,
  began_at text not null,
  seconds real not null default 0,
  ended_at text
) strict;

create table practice_course (
  id integer primary key,
  person_id integer not null references therapist (id) on delete cascade,
  case_json text not null,
  made_at text not null
) strict;

create table practice_set (
  id integer primary key,
  kind text not null,
  level integer not null,
  seed integer not null,
  due_on text not null,
  modality text,
  made_by integer not null references therapist (id),
  made_at text not null,
  ended_at text
) strict;

create table practice_answer (
  id integer primary key,
  person_id integer not null references therapist (id) on delete cascade,
  session_id integer not null references practice_session (id) on delete cascade,
  set_id integer references practice_set (id) on delete set null,
  course_id integer references practice_course (id) on delete set null,
  answered_at text not null,
  kind text not null,
  level integer not null,
  seed integer not null,
  score real not null,
  seconds real not null,
  broken_json text not null
) strict;
create index practice_answer_of_person on practice_answer (person_id, answered_at);

create table practice_card (
  person_id integer not null references therapist (id) on delete cascade,
  skill text not null,
  card_json text not null,
  due_at text not null,
  primary key (person_id, skill)
) strict;
`,
};
