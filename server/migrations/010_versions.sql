-- What several people may change at once carries a number that goes up with each change: who saves says which one they saw.
alter table children add column version integer not null default 1;
alter table sessions add column version integer not null default 1;
alter table recipes add column version integer not null default 1;
alter table settings add column rules_version integer not null default 1;
alter table settings add column kit_version integer not null default 1;

-- The request that the frozen plan was made from: mends, papers and records go by it, not by what a recipe or a box has become since.
alter table sessions add column request jsonb;

-- Found by what they are looked for with.
create index events_by_setting on events (setting_id);
create index sessions_by_recipe on sessions (recipe_id);
create index readings_by_setting on packet_readings (setting_id);
create index attendance_by_setting on attendance (setting_id);
