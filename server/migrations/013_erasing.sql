-- Words in which an erased child's name stands are blanked by the owner: in what was noted at tables that are over.
create function blank_event(event uuid, words jsonb) returns void
language plpgsql security definer
set search_path = pg_catalog, public
as $$
begin
  update public.events e set body = words
    from public.sessions s
    where e.id = event and e.setting_id = public.app_setting() and s.id = e.session_id and s.state <> 'cooking';
end $$;
grant execute on function blank_event(uuid, jsonb) to lea_app;

-- One guest of one session is erased: what was noted goes; in plan and taps it becomes somebody unknown. Guests of other sessions may have
-- the same id. An id ends where no letter of ids goes on.
create function erase_guest(of_session uuid, guest text, somebody text) returns void
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
      and kind in ('note', 'skill', 'talk', 'taste', 'met', 'taste-word', 'cleaned', 'guess', 'look-back');
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
grant execute on function erase_guest(uuid, text, text) to lea_app;
