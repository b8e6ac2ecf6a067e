# PostgreSQL, a cluster of the project's own. Sourced by common.sh.
#
# Three roles: gorvan_owner is the cluster's superuser, whose password the application never sees; gorvan_tables owns the
# tables and changes their shape; gorvan is the application, which reads and writes rows within the row policies and can
# neither empty a table, nor change one, nor turn a policy or a trigger off.

secret_of() { # $1 is the role's file; made when it is not there
  [ -s "$VAR/postgres-$1.secret" ] || (umask 077; random_text > "$VAR/postgres-$1.secret")
  cat "$VAR/postgres-$1.secret"
}

# Starts the cluster named $1 with the options $2. Sets DB_* for the application; stop_postgres ends it.
start_postgres() {
  step "starting PostgreSQL"
  local bin name=$1 home
  bin=$(postgres_bin)
  home="$VAR/postgres-$name"
  PG_RUN=()
  if [ "$(id -u)" = 0 ]; then
    PG_RUN=(runuser -u postgres --)
    mkdir -p "$home"
    if ! runuser -u postgres -- test -x "$home" 2>/dev/null; then
      rmdir "$home" 2>/dev/null || true
      home="/var/lib/gorvan/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)-$name"
      say "The postgres user cannot reach $ROOT, so the database is kept in $home."
      mkdir -p "$home"
    fi
    chown postgres: "$home"
  fi
  PG_DATA="$home/data"; PG_BIN=$bin; PG_LOG="$home/server.log"; PG_OPTIONS=${2:-}
  mkdir -p "$home"
  PG_SECRET=$(secret_of "$name")
  if ! "${PG_RUN[@]}" test -f "$PG_DATA/PG_VERSION"; then
    printf '%s' "$PG_SECRET" | "${PG_RUN[@]}" sh -c 'umask 077; cat > "$1/first"' sh "$home"
    "${PG_RUN[@]}" "$bin/initdb" -D "$PG_DATA" -U gorvan_owner --auth=scram-sha-256 --pwfile="$home/first" -E UTF8 --locale=C.UTF-8 > "$VAR/initdb.log" 2>&1 \
      || { tail -n 5 "$VAR/initdb.log" >&2; fail "The database cluster could not be made in $PG_DATA."; }
    "${PG_RUN[@]}" rm -f "$home/first"
  fi
  # Whoever holds the lock of this name and finds it running found what a run that was killed left behind.
  "${PG_RUN[@]}" "$bin/pg_ctl" -D "$PG_DATA" -m fast -w -s stop > /dev/null 2>&1 || true
  DB_PORT=$(free_port)
  run_postgres || fail "PostgreSQL did not start; see $PG_LOG. Is something else using $PG_DATA?"
  PG_STARTED=yes
  local own tables
  own=$(secret_of "$name.application"); tables=$(secret_of "$name.tables")
  export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT DB_DATABASE=gorvan DB_USERNAME=gorvan DB_PASSWORD="$own"
  PG_TABLES_SECRET=$tables
  PGPASSWORD=$PG_SECRET PGOPTIONS=--client-min-messages=warning "$bin/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U gorvan_owner -d postgres -v ON_ERROR_STOP=1 -v own="$own" -v tables="$tables" > "$VAR/psql.log" 2>&1 <<'SQL' || { cat "$VAR/psql.log" >&2; fail "The database could not be prepared."; }
select not exists (select from pg_roles where rolname = 'gorvan_tables') as missing \gset
\if :missing
create role gorvan_tables login nosuperuser nobypassrls;
\endif
select not exists (select from pg_roles where rolname = 'gorvan') as missing \gset
\if :missing
create role gorvan login nosuperuser nobypassrls;
\endif
alter role gorvan_tables password :'tables';
alter role gorvan password :'own';
select not exists (select from pg_database where datname = 'gorvan') as missing \gset
\if :missing
create database gorvan owner gorvan_tables;
\endif
alter database gorvan owner to gorvan_tables;
SQL
  grant_rows gorvan || fail "The database could not be prepared."
}

# What the application may do in the database $1: rows, and nothing of the tables themselves. A database that was made
# when it still owned them is put right.
grant_rows() {
  postgres_owner -d "$1" > "$VAR/psql.log" 2>&1 <<'SQL' || { cat "$VAR/psql.log" >&2; return 1; }
reassign owned by gorvan to gorvan_tables;
revoke all on schema public from public;
grant usage, create on schema public to gorvan_tables;
grant usage on schema public to gorvan;
revoke all on all tables in schema public from gorvan;
grant select, insert, update, delete on all tables in schema public to gorvan;
grant usage, select on all sequences in schema public to gorvan;
alter default privileges for role gorvan_tables in schema public grant select, insert, update, delete on tables to gorvan;
alter default privileges for role gorvan_tables in schema public grant usage, select on sequences to gorvan;
SQL
}

run_postgres() {
  "${PG_RUN[@]}" "$PG_BIN/pg_ctl" -D "$PG_DATA" -l "$PG_LOG" -w -s \
    -o "-c listen_addresses=127.0.0.1 -c port=$DB_PORT -c unix_socket_directories='' -c logging_collector=on -c log_filename='server-%a.log' -c log_rotation_age=1d -c log_truncate_on_rotation=on -c log_file_mode=0600 $PG_OPTIONS" \
    start 9>&- > /dev/null 2>&1
}
postgres_runs() { "${PG_RUN[@]}" "$PG_BIN/pg_ctl" -D "$PG_DATA" -s status > /dev/null 2>&1; }

# The cluster's superuser, for what nobody else may do.
postgres_owner() { PGPASSWORD=$PG_SECRET PGOPTIONS=--client-min-messages=warning "$PG_BIN/psql" -q -h 127.0.0.1 -p "$DB_PORT" -U gorvan_owner -v ON_ERROR_STOP=1 "$@"; }

# Runs a command as the role that owns the tables: for migrations alone.
as_tables() { DB_USERNAME=gorvan_tables DB_PASSWORD=$PG_TABLES_SECRET APP_CONFIG_CACHE=/nowhere/config.php "$@"; }

stop_postgres() {
  [ "${PG_STARTED:-}" = yes ] || return 0
  PG_STARTED=
  "${PG_RUN[@]}" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -s stop >/dev/null 2>&1 || true
}

# How many schools there are that somebody made; 0 where there is no table of them yet.
schools_that_are_not_the_demo() {
  [ "$(postgres_owner -d "$DB_DATABASE" -Atc "select to_regclass('schools') is not null")" = t ] || { echo 0; return; }
  postgres_owner -d "$DB_DATABASE" -Atc 'select count(*) from schools where not is_demo'
}
