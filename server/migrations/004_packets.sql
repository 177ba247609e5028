-- The packet register: one real package each, with its own words, and who read it when. A reading holds for the words
-- that were read (their digest): when the words change, it is out of date.

alter table settings add column demo boolean not null default false;

create table packets (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  food text not null,
  name text not null,
  code text,
  label text not null,
  -- Made by the scanner stand-in: outside the demo it never counts as read.
  simulated boolean not null default false,
  changed_at timestamptz not null default now()
);
create index packets_by_setting on packets (setting_id, food);

create table packet_readings (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  packet_id uuid not null references packets (id) on delete cascade,
  digest text not null,
  read_by jsonb not null,
  at timestamptz not null default now()
);
create index readings_by_packet on packet_readings (packet_id, at);

do $$
declare name text;
begin
  foreach name in array array['packets', 'packet_readings'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_setting on %I using (setting_id = app_setting()) with check (setting_id = app_setting())',
      name
    );
  end loop;
end $$;

grant select, insert, update, delete on packets to lea_app;
grant select, insert on packet_readings to lea_app;
