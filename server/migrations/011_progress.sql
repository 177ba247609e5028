-- What is typed about a child and what its sessions show are apart. A row for each child and session, added up as sessions end; and the
-- sum, which the next plan is made from. No write carries a whole card back.

create table session_progress (
  setting_id uuid not null references settings (id) on delete cascade,
  session_id uuid not null references sessions (id) on delete cascade,
  child_id uuid not null references children (id) on delete cascade,
  date date not null,
  body jsonb not null,
  primary key (child_id, session_id)
);
create index session_progress_by_session on session_progress (session_id);
create index session_progress_by_setting on session_progress (setting_id);

create table child_progress (
  child_id uuid primary key references children (id) on delete cascade,
  setting_id uuid not null references settings (id) on delete cascade,
  body jsonb not null
);
create index child_progress_by_setting on child_progress (setting_id);

-- What happened with a recipe in a session: how it was liked, added up as the session ends.
create table session_tastes (
  session_id uuid primary key references sessions (id) on delete cascade,
  setting_id uuid not null references settings (id) on delete cascade,
  body jsonb not null
);
create index session_tastes_by_setting on session_tastes (setting_id);

do $$
declare name text;
begin
  foreach name in array array['session_progress', 'child_progress', 'session_tastes'] loop
    execute format('alter table %I enable row level security', name);
    execute format('alter table %I force row level security', name);
    execute format(
      'create policy own_setting on %I using (setting_id = app_setting()) with check (setting_id = app_setting())',
      name
    );
  end loop;
end $$;
grant select, insert, update, delete on session_progress, child_progress, session_tastes to lea_app;

-- Set with what makes it due, in one transaction; taken away by the job that added it up, if nothing came since.
alter table sessions add column progress_due boolean not null default false;
create index sessions_due on sessions (setting_id) where progress_due;

alter table sessions no force row level security;
alter table children no force row level security;
update sessions set progress_due = true where plan is not null;
update children set profile = profile - 'skills' - 'lately' - 'talk' - 'ahead';
alter table sessions force row level security;
alter table children force row level security;
