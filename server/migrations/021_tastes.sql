-- How a child found a taste, and what it said that it was, are words about that child: they go with it.
create or replace function erase_child_from_log(child text, somebody text) returns void
language plpgsql security definer
set search_path = pg_catalog, public
as $$
begin
  delete from public.events
    where setting_id = public.app_setting()
      and body ->> 'child' = child
      and kind in ('note', 'skill', 'talk', 'taste', 'met', 'taste-word', 'cleaned', 'guess', 'look-back', 'took', 'thumb', 'named-taste');
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

create or replace function erase_guest(of_session uuid, guest text, somebody text) returns void
language plpgsql security definer
set search_path = pg_catalog, public
as $$
declare exact text := '(?<![a-z0-9-])' || guest || '(?![a-z0-9-])';
begin
  if guest !~ '^guest-[a-z0-9-]{1,40}$' then
    raise exception 'that is no id of a guest' using errcode = 'invalid_parameter_value';
  end if;
  delete from public.events
    where setting_id = public.app_setting() and session_id = of_session
      and body ->> 'child' = guest
      and kind in ('note', 'skill', 'talk', 'taste', 'met', 'taste-word', 'cleaned', 'guess', 'look-back', 'took', 'thumb', 'named-taste');
  update public.events
    set body = body || '{"text": "", "done": "erased"}'
    where setting_id = public.app_setting() and session_id = of_session and kind = 'incident' and body -> 'who' ? guest;
  update public.events
    set body = regexp_replace(body::text, exact, somebody, 'g')::jsonb
    where setting_id = public.app_setting() and session_id = of_session and body::text ~ exact;
  update public.sessions
    set plan = regexp_replace(plan::text, exact, somebody, 'g')::jsonb,
        decisions = regexp_replace(decisions::text, exact, somebody, 'g')::jsonb,
        inputs = regexp_replace(
          jsonb_set(jsonb_set(inputs, '{guests}', coalesce(
              (select jsonb_agg(g) from jsonb_array_elements(inputs -> 'guests') g where g ->> 'id' <> guest), '[]')),
            '{seats}', coalesce(inputs -> 'seats', '[]') - guest)::text, exact, somebody, 'g')::jsonb,
        request = case when request is null or jsonb_typeof(request) <> 'object' then request else regexp_replace(
          jsonb_set(request, '{children}', coalesce(
            (select jsonb_agg(c) from jsonb_array_elements(request -> 'children') c where c ->> 'id' <> guest),
            '[]'))::text, exact, somebody, 'g')::jsonb end,
        version = version + 1
    where setting_id = public.app_setting() and id = of_session;
end $$;
