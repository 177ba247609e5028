-- What a setting has of a food, in what packs it buys it and at what price, and what it weighed itself.

create table cupboard (
  setting_id uuid not null references settings (id) on delete cascade,
  food text not null,
  body jsonb not null,
  primary key (setting_id, food)
);

alter table cupboard enable row level security;
alter table cupboard force row level security;
create policy own_setting on cupboard
  using (setting_id = app_setting()) with check (setting_id = app_setting());

grant select, insert, update, delete on cupboard to lea_app;
