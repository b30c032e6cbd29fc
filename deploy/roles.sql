-- The three accounts of Nodo and what each may do in its database. Run it in that database as an account that may make
-- roles; running it again changes the passwords and nothing else. The passwords come as variables of psql, which
-- neither the command line nor a log shows:
--   NODO_OWNER=… NODO_APP=… NODO_LISTENER=… psql "$ADMIN_URL" -v ON_ERROR_STOP=1 \
--     -c '\getenv owner NODO_OWNER' -c '\getenv app NODO_APP' -c '\getenv listener NODO_LISTENER' -f deploy/roles.sql

-- Nobody's password goes into the database's own log; only a superuser may say so.
select set_config(name, value, false) is null as logged
  from (values ('log_statement', 'none'), ('log_min_error_statement', 'panic')) as quiet (name, value)
 where (select rolsuper from pg_roles where rolname = current_user);

-- The migrations' own: it owns the tables.
select 'create role nodo_owner login' where not exists (select from pg_roles where rolname = 'nodo_owner') \gexec
-- The server's: it owns nothing and sees the rows of one shop at a time.
select 'create role nodo_app login' where not exists (select from pg_roles where rolname = 'nodo_app') \gexec
-- Hears what other processes write, as ids; may read nothing.
select 'create role nodo_listener login' where not exists (select from pg_roles where rolname = 'nodo_listener') \gexec
alter role nodo_owner password :'owner';
alter role nodo_app password :'app';
alter role nodo_listener password :'listener';
-- Whoever is no superuser hands over only what they belong to.
select 'grant nodo_owner to current_user' where not (select rolsuper from pg_roles where rolname = current_user) \gexec

select format('alter database %I owner to nodo_owner', current_database()) \gexec
alter schema public owner to nodo_owner;
revoke all on schema public from public;
grant usage on schema public to nodo_app, nodo_listener;
