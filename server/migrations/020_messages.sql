-- Messages of taps for one table, of whoever sent them, in one way to the database: each is asked whose sign-in it is, as that stands now, and
-- takes its taps as that person's setting. Runs as the caller: its row-level security holds.
-- @param since_after an older sign-in has ended; @param messages [{signIn, owner, events, atOnce, atEnd, news}], owner: only an owner may
create function take_messages(
  of_session uuid, at_now timestamptz, zone text, since_after timestamptz, channel text, messages jsonb
) returns table (number integer, fault text, last bigint, due boolean)
language plpgsql as $$
declare
  who record;
  message jsonb;
begin
  number := 0;
  for message in select value from jsonb_array_elements(messages) loop
    select w.* into who from who_is_signed_in(message ->> 'signIn') w;
    if who.id is null
      or (who.sess -> 'person' ->> 'round')::integer is distinct from who.round
      or (who.sess -> 'person' ->> 'since')::timestamptz < since_after then
      fault := 'ended'; last := 0; due := false;
    elsif (message ->> 'owner')::boolean and who.role <> 'owner' then
      fault := 'owner'; last := 0; due := false;
    else
      perform set_config('app.setting_id', who.setting_id::text, true);
      select t.fault, t.last, t.due into fault, last, due
      from take_taps(
        of_session, who.setting_id, who.id, message -> 'events', who.role = 'helper', at_now, zone,
        (message ->> 'atOnce')::boolean, (message ->> 'atEnd')::boolean, channel, message ->> 'news'
      ) t;
    end if;
    return next;
    number := number + 1;
  end loop;
end $$;
grant execute on function take_messages(uuid, timestamptz, text, timestamptz, text, jsonb) to lea_app;
