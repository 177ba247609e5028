-- What whoever runs a Lea needs: settings that are closed, how much one may hold, one-time links, and a log that can be looked through.

-- A closed setting: its data stays, nobody signs in.
alter table door add column closed_at timestamptz;
create function is_closed(setting uuid) returns boolean
language sql stable security definer
set search_path = pg_catalog, public
as $$ select exists (select from public.door where setting_id = setting and closed_at is not null) $$;
grant execute on function is_closed(uuid) to lea_app;

-- The person of a sign-in, as before; of a closed setting nobody.
create or replace function person_of_sign_in(person uuid)
returns table (id uuid, setting_id uuid, name text, role text, round integer)
language plpgsql
as $$
begin
  perform set_config('app.person', person::text, true);
  return query
    select a.id, a.setting_id, a.name, a.role, a.sign_in_round
    from public.adults a
    where a.id = person and a.sign_in is not null and a.role is not null and not public.is_closed(a.setting_id);
end $$;

-- How many rows one setting may have of a kind: so many as stand here, or as its operator has said.
alter table settings add column quota jsonb not null default '{}' check (jsonb_typeof(quota) = 'object');
create function usual_quota(kind text) returns integer
language sql immutable
as $$
  select case kind
    when 'adults' then 200 when 'children' then 400 when 'recipes' then 1000 when 'sessions' then 10000
    when 'packets' then 5000 else 3000
  end
$$;
grant execute on function usual_quota(text) to lea_app;

-- A setting's own people change its name, rules and lists; not how much it may hold, nor whether it is of the demo.
revoke update on settings from lea_app;
grant update (name, rules, kit, keep_months, rules_version, kit_version) on settings to lea_app;

create function within_quota() returns trigger
language plpgsql
as $$
declare
  most integer;
  there bigint;
begin
  select coalesce((s.quota ->> tg_table_name)::integer, usual_quota(tg_table_name)) into most
  from settings s where s.id = app_setting();
  execute format('select count(*) from %I where setting_id = app_setting()', tg_table_name) into there;
  if there > most then
    raise exception 'more % than the setting may have', tg_table_name
      using errcode = 'program_limit_exceeded', detail = most::text, constraint = tg_table_name;
  end if;
  return null;
end $$;
do $$
declare kind text;
begin
  foreach kind in array array['adults', 'children', 'recipes', 'sessions', 'packets', 'foods', 'cupboard', 'words', 'letters'] loop
    execute format('create trigger within_quota after insert on %I for each statement execute function within_quota()', kind);
  end loop;
end $$;

-- One-time links: for the first owner of a new setting (no adult yet), or for somebody who has lost their password. The word itself is not kept.
create table links (
  word_hash text primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  adult_id uuid references adults (id) on delete cascade,
  made_at timestamptz not null default now(),
  ends_at timestamptz not null
);
create index links_by_setting on links (setting_id);
alter table links enable row level security;
alter table links force row level security;
create policy own_setting on links
  using (setting_id = app_setting()) with check (setting_id = app_setting());
create policy by_word on links for select
  using (word_hash = nullif(current_setting('app.link', true), ''));
grant select, delete on links to lea_app;

-- What a line of the log is of, so that an owner can look for one thing.
alter table audit add column part text not null default 'other';
update audit set part = case
  when did like '%adult%' then 'people'
  when did like '%record%' or did like 'exported%' then 'records'
  when did like '%child%' or did like '%guest%' or did like '%roster%' then 'cards'
  when did like 'signed in%' or did like 'signed out%' or did like '%password%' then 'sign-in'
  when did like '%packet%' then 'packets'
  when did like '%archive%' or did like '%setting%' then 'setting'
  when did like '%session%' or did like '%network%' or did like '%anew%' or did like '%finding%' or did like '%screen%' then 'sessions'
  else 'other'
end;
create index audit_by_part on audit (setting_id, part, at);
