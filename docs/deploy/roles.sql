-- Once, as a superuser of a PostgreSQL of your own:
--   psql -v owner_word="'…'" -v app_word="'…'" -v backup_word="'…'" -f roles.sql
-- lea_owner makes the tables; lea_app serves, owns nothing and sees one setting at once; lea_backup reads everything, for pg_dump.
create role lea_owner login nosuperuser nobypassrls password :owner_word;
create role lea_app login nosuperuser nobypassrls password :app_word;
create role lea_backup login nosuperuser bypassrls password :backup_word;
-- The server begins as the owner where only one address is given, and acts as lea_app all the same.
grant lea_app to lea_owner;
grant pg_read_all_data to lea_backup;
create database lea owner lea_owner;
