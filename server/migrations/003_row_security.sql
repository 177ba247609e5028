-- The application's role owns nothing; what it may see is what the policies let through.

create function app_setting() returns uuid
language sql stable
as $$ select nullif(current_setting('app.setting_id', true), '')::uuid $$;

alter table settings enable row level security;
alter table settings force row level security;
create policy own_setting on settings
  using (id = app_setting()) with check (id = app_setting());

-- An adult's row is also seen by its own sign-in name, while someone signs in: no setting is known before that.
alter table adults enable row level security;
alter table adults force row level security;
create policy own_setting on adults
  using (setting_id = app_setting()) with check (setting_id = app_setting());
create policy at_the_door on adults for select
  using (sign_in = nullif(current_setting('app.sign_in', true), ''));

do $$
declare name text;
begin
  foreach name in array array['children', 'foods', 'recipes', 'sessions', 'events', 'audit'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_setting on %I using (setting_id = app_setting()) with check (setting_id = app_setting())',
      name
    );
  end loop;
end $$;

-- One row for each setting, without any of its data, so that `any_setting` need not look past a policy.
create table door (setting_id uuid primary key references settings (id) on delete cascade);

-- Is this an empty house? The only question that may be asked before there is a setting.
create function any_setting() returns boolean
language plpgsql stable security definer
set search_path = pg_catalog, public
as $$
begin
  return exists (select from public.door);
end $$;

-- The settings there are, by id only: for putting the demo back. What is in them stays behind the policies.
create function all_doors() returns setof door
language sql stable security definer
set search_path = pg_catalog, public
as $$ select * from public.door $$;

grant usage on schema public to lea_app;
grant select, insert, update, delete on settings, adults, children, foods, recipes, sessions, sign_ins to lea_app;
grant select, insert on events, audit to lea_app;
grant insert on door to lea_app;
grant usage on all sequences in schema public to lea_app;
grant execute on function app_setting(), any_setting(), all_doors() to lea_app;
