-- Events of one message, in one way to the database. Runs as the caller: its row-level security holds.
create function append_events(of_session uuid, of_setting uuid, by uuid, list jsonb) returns bigint
language plpgsql as $$
declare
  last bigint;
  tap record;
begin
  -- Numbers are given under the session's lock: none comes later than a greater one.
  select last_event into last from sessions where id = of_session for update;
  if last is null then
    raise exception 'there is no such session' using errcode = 'foreign_key_violation';
  end if;
  for tap in
    select * from jsonb_to_recordset(list)
      as t (id uuid, device text, lamport bigint, at text, kind text, body jsonb)
  loop
    insert into events (id, setting_id, session_id, number, device, lamport, at, by_adult, kind, body)
    values (tap.id, of_setting, of_session, last + 1, tap.device, tap.lamport, tap.at, by, tap.kind, tap.body)
    on conflict do nothing;
    if found then
      last := last + 1;
    end if;
  end loop;
  update sessions set last_event = last where id = of_session and last_event <> last;
  return last;
end
$$;
