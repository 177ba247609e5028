-- What several people may change at once carries a number that goes up with each change: who saves says which one they saw.
alter table children add column version integer not null default 1;
alter table sessions add column version integer not null default 1;
alter table recipes add column version integer not null default 1;
alter table settings add column rules_version integer not null default 1;
alter table settings add column kit_version integer not null default 1;

-- The request that the frozen plan was made from: mends, papers and records go by it, not by what a recipe or a box has become since.
alter table sessions add column request jsonb;

-- Found by what they are looked for with.
create index events_by_setting on events (setting_id);
create index sessions_by_recipe on sessions (recipe_id);
create index readings_by_setting on packet_readings (setting_id);
create index attendance_by_setting on attendance (setting_id);

-- A child, or a guest, is erased: in the request that a plan was made from as well. What a card asked goes with it.
create or replace function erase_child_from_log(child text, somebody text) returns void
language plpgsql security definer
set search_path = pg_catalog, public
as $$
begin
  delete from public.events
    where setting_id = public.app_setting()
      and body ->> 'child' = child
      and kind in ('note', 'skill', 'talk', 'taste', 'met', 'taste-word', 'cleaned');
  update public.events
    set body = body || '{"text": "", "done": "erased"}'
    where setting_id = public.app_setting() and kind = 'incident' and body -> 'who' ? child;
  update public.events
    set body = replace(body::text, child, somebody)::jsonb
    where setting_id = public.app_setting() and body::text like '%' || child || '%';
  update public.sessions
    set plan = replace(plan::text, child, somebody)::jsonb,
        decisions = replace(decisions::text, child, somebody)::jsonb,
        inputs = replace(inputs::text, child, somebody)::jsonb,
        request = replace(
          jsonb_set(request, '{children}', coalesce(
            (select jsonb_agg(c) from jsonb_array_elements(request -> 'children') c where c ->> 'id' <> child),
            '[]'))::text, child, somebody)::jsonb
    where setting_id = public.app_setting()
      and (plan::text like '%' || child || '%' or decisions::text like '%' || child || '%'
        or inputs::text like '%' || child || '%' or request::text like '%' || child || '%');
end $$;
