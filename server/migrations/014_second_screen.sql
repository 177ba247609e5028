-- A second screen for the children: whoever has the code sees the pictures of one table, and nothing else. The code itself is not kept.
create table second_screens (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  session_id uuid not null references sessions (id) on delete cascade,
  bowl text not null,
  code_hash text not null unique,
  made_at timestamptz not null default now(),
  unique (session_id, bowl)
);
alter table second_screens enable row level security;
alter table second_screens force row level security;
create policy own_setting on second_screens
  using (setting_id = app_setting()) with check (setting_id = app_setting());
-- Before any setting is known: the row of this code, or of this screen, and no other.
create policy by_code on second_screens for select
  using (code_hash = nullif(current_setting('app.screen_code', true), ''));
create policy by_screen on second_screens for select
  using (id = nullif(current_setting('app.screen', true), '')::uuid);
grant select, insert, update, delete on second_screens to lea_app;
