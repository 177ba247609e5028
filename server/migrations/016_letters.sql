-- Letters that were written (the mail stand-in): every server of this database has the same, and an erased child's go with it. Nothing is sent.
create table letters (
  setting_id uuid not null references settings (id) on delete cascade,
  name text not null,
  -- Id of the child or guest that it is about; null for the group.
  about text,
  written_at timestamptz not null,
  -- RFC 5322
  message bytea not null,
  primary key (setting_id, name)
);
create index letters_by_time on letters (setting_id, written_at desc);
alter table letters enable row level security;
alter table letters force row level security;
create policy own_setting on letters
  using (setting_id = app_setting()) with check (setting_id = app_setting());
grant select, insert, delete on letters to lea_app;
