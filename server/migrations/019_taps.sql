-- Taps of one message, in one way to the database: found, asked about, written and told. Runs as the caller: its row-level security holds.
-- @param helper who is one sees the tables of some days only, by the setting's own zone; @param zone where it says none
-- @param at_once, at_end: whether there are taps that move the next plan at once, or once the session is over
create function take_taps(
  of_session uuid, of_setting uuid, by uuid, list jsonb, helper boolean, at_now timestamptz, zone text,
  at_once boolean, at_end boolean, channel text, news text
) returns table (fault text, last bigint, due boolean)
language plpgsql as $$
declare
  known record;
  day date;
  wild bigint;
  moves boolean;
begin
  select s.state, s.date, s.last_event into known from sessions s where s.id = of_session for update;
  if not found then
    return query select 'gone', 0::bigint, false;
    return;
  end if;
  if helper then
    select (at_now at time zone coalesce(nullif(s.rules ->> 'zone', ''), zone))::date into day from settings s;
    if known.date < day - 4 or known.date > day + 1 then
      return query select 'gone', 0::bigint, false;
      return;
    end if;
  end if;
  if known.state = 'planned' then
    return query select 'planned', 0::bigint, false;
    return;
  end if;
  select max((tap ->> 'lamport')::bigint) into wild from jsonb_array_elements(list) tap;
  if wild > known.last_event + 100000 then
    return query select 'wild', wild, false;
    return;
  end if;
  moves := at_once or (at_end and known.state = 'finished');
  if moves then
    update sessions set progress_due = true where id = of_session and not progress_due;
  end if;
  perform pg_notify(channel, news);
  return query select null::text, append_events(of_session, of_setting, by, list), moves;
end $$;
grant execute on function take_taps(uuid, uuid, uuid, jsonb, boolean, timestamptz, text, boolean, boolean, text, text) to lea_app;

-- Whose sign-in it is, and who that is now, in one way to the database.
create function who_is_signed_in(sign_in text)
returns table (sess json, id uuid, setting_id uuid, name text, role text, round integer)
language sql
as $$
  select s.sess, p.id, p.setting_id, p.name, p.role, p.round
  from public.sign_ins s
  left join lateral public.person_of_sign_in((s.sess -> 'person' ->> 'id')::uuid) p on true
  where s.sid = sign_in and s.expire >= now()
$$;
grant execute on function who_is_signed_in(text) to lea_app;
