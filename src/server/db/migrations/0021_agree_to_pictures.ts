import type { Migration } from '../migration';

/**
 * What clients say about pictures, and how light each picture is. Who has pictures on record already is not taken to
 * have agreed: they are asked at the next one.
 */
export const agreeToPictures: Migration = {
  name: '0021_agree_to_pictures',
  sql: `
create table picture_answer (
  id integer primary key,
  client_id integer not null references client (id),
  answer text not null check (answer in ('refused', 'record', 'letters')),
  answered_at text not null,
  recorded_by integer references therapist (id)
) strict;
create index picture_answer_by_client on picture_answer (client_id, id);

alter table photo add column light_left_percent real;
alter table photo add column light_right_percent real;
`,
};
