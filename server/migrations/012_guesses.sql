-- A child, or a guest, is erased: what it guessed and what it said looking back goes too.
create or replace function erase_child_from_log(child text, somebody text) returns void
language plpgsql security definer
set search_path = pg_catalog, public
as $$
begin
  delete from public.events
    where setting_id = public.app_setting()
      and body ->> 'child' = child
      and kind in ('note', 'skill', 'talk', 'taste', 'met', 'taste-word', 'cleaned', 'guess', 'look-back');
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
