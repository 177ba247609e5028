-- Settings and their people. Every table of a setting's data carries setting_id and a row-level-security policy;
-- the server sets app.setting_id inside each transaction, so that a forgotten WHERE shows nothing of another setting.

create table settings (
  id uuid primary key,
  name text not null,
  rules jsonb not null,
  kit jsonb not null,
  created_at timestamptz not null default now()
);

create table adults (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  name text not null,
  leads jsonb not null,
  role text check (role in ('owner', 'leader', 'helper')),
  sign_in text unique,
  password_hash text,
  check ((sign_in is null) = (password_hash is null)),
  check (sign_in is null or role is not null)
);
create index adults_by_setting on adults (setting_id);

create table children (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  nickname text not null,
  birth text not null,
  profile jsonb not null
);
create index children_by_setting on children (setting_id);

create table foods (
  setting_id uuid not null references settings (id) on delete cascade,
  id text not null,
  body jsonb not null,
  primary key (setting_id, id)
);

create table recipes (
  id uuid primary key,
  setting_id uuid not null references settings (id) on delete cascade,
  title text not null,
  body jsonb not null
);
create index recipes_by_setting on recipes (setting_id);

-- Sign-ins are kept in PostgreSQL, in the shape that connect-pg-simple wants. No setting's data is in it.
create table sign_ins (
  sid varchar primary key,
  sess json not null,
  expire timestamp(6) not null
);
create index sign_ins_by_expiry on sign_ins (expire);
