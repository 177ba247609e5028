-- Words of a setting: new ones, and its own say over the glossary's (a family's word, a language that Lea has none of).

create table words (
  setting_id uuid not null references settings (id) on delete cascade,
  id text not null,
  body jsonb not null,
  primary key (setting_id, id)
);

alter table words enable row level security;
alter table words force row level security;
create policy own_setting on words
  using (setting_id = app_setting()) with check (setting_id = app_setting());

grant select, insert, update, delete on words to lea_app;
