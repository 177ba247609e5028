-- Sessions store inputs and decisions only. The plan is stored when cooking starts, frozen, beside the log of events.

create table sessions (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  recipe_id uuid not null references recipes (id),
  date date not null,
  start text not null,
  state text not null default 'planned' check (state in ('planned', 'cooking', 'finished')),
  inputs jsonb not null,
  decisions jsonb not null default '[]',
  plan jsonb,
  last_event bigint not null default 0,
  check ((state = 'planned') = (plan is null))
);
create index sessions_by_day on sessions (setting_id, date);

create table events (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  session_id uuid not null references sessions (id) on delete cascade,
  number bigint not null,
  device text not null,
  lamport bigint not null,
  at text not null,
  by_adult uuid,
  kind text not null,
  body jsonb not null,
  unique (session_id, number)
);

-- Who read or changed what, and when.
create table audit (
  id bigint generated always as identity primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  at timestamptz not null default now(),
  adult_id uuid,
  did text not null,
  subject text not null
);
create index audit_by_setting on audit (setting_id, at);
