-- How often something was tried that must not be tried for ever (a password, a code), counted over all servers of this database. Who tried is
-- a digest; what is in it is worth nothing after a quarter of an hour, and a crash may forget it.
create unlogged table tries (
  key text primary key,
  hits integer not null,
  resets_at timestamptz not null
);
grant select, insert, update, delete on tries to lea_app;
