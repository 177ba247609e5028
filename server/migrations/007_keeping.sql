-- Who was at which session, so that one child's sessions are found among very many; how long records are kept; erasing to the last event.

create table attendance (
  setting_id uuid not null references settings (id) on delete cascade,
  session_id uuid not null references sessions (id) on delete cascade,
  child_id uuid not null references children (id) on delete cascade,
  primary key (child_id, session_id)
);
create index attendance_by_session on attendance (session_id);

-- The owner of the tables looks past the policies for a moment: what is there already is taken over.
alter table sessions no force row level security;
alter table children no force row level security;
insert into attendance (setting_id, session_id, child_id)
  select s.setting_id, s.id, c.id
  from sessions s
  cross join lateral jsonb_array_elements_text(s.inputs -> 'children') as here (id)
  join children c on c.id::text = here.id and c.setting_id = s.setting_id
  on conflict do nothing;
alter table sessions force row level security;
alter table children force row level security;

alter table attendance enable row level security;
alter table attendance force row level security;
create policy own_setting on attendance
  using (setting_id = app_setting()) with check (setting_id = app_setting());
grant select, insert, delete on attendance to lea_app;

-- Months for which the records of a session are kept.
alter table settings add column keep_months integer not null default 36 check (keep_months between 1 and 300);

-- A child is erased: what was noted of it goes; where it stands in a plan or a tap it becomes somebody unknown.
create function erase_child_from_log(child text, somebody text) returns void
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
        inputs = replace(inputs::text, child, somebody)::jsonb
    where setting_id = public.app_setting()
      and (plan::text like '%' || child || '%' or decisions::text like '%' || child || '%'
        or inputs::text like '%' || child || '%');
end $$;
grant execute on function erase_child_from_log(text, text) to lea_app;

-- Lines of the audit log that are older than anything else that is kept.
create function sweep_audit(before timestamptz) returns bigint
language plpgsql security definer
set search_path = pg_catalog, public
as $$
declare gone bigint;
begin
  delete from public.audit where setting_id = public.app_setting() and at < before;
  get diagnostics gone = row_count;
  return gone;
end $$;
grant execute on function sweep_audit(timestamptz) to lea_app;
