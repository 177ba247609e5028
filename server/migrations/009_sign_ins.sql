-- A sign-in keeps a person's id alone. Role and right are looked up at each request; when they change, or the password, or somebody asks
-- for it, the number goes up, and every sign-in of before is over.

alter table adults add column sign_in_round integer not null default 0;

create policy at_each_request on adults for select
  using (id = nullif(current_setting('app.person', true), '')::uuid);

-- Runs as the caller, in a transaction of its own: the row of this id is seen and no other.
create function person_of_sign_in(person uuid)
returns table (id uuid, setting_id uuid, name text, role text, round integer)
language plpgsql
as $$
begin
  perform set_config('app.person', person::text, true);
  return query
    select a.id, a.setting_id, a.name, a.role, a.sign_in_round
    from public.adults a where a.id = person and a.sign_in is not null and a.role is not null;
end $$;
grant execute on function person_of_sign_in(uuid) to lea_app;

create index sign_ins_by_person on sign_ins ((sess -> 'person' ->> 'id'));
