#!/usr/bin/env bash
# Writes the demo, as this version of Gorvan keeps it, into the file $1 (gzipped SQL), so that the migrations of the next
# version can be tried on it: run it in a checkout of the version before, and put the file into tests/Feature/fixtures.
set -uo pipefail
ROOT=$(cd "$(dirname "$0")/../.." && pwd)
cd "$ROOT" || exit 1
# shellcheck source=bin/lib/common.sh
. "$ROOT/bin/lib/common.sh"
[ $# -eq 1 ] || fail "bin/lib/kept.sh FILE"
trap 'stop_postgres' EXIT
install_system; install_libraries
export APP_ENV=production
prepare_serving kept
start_postgres kept "-c fsync=off"
settings 8123
migrate fresh && artisan gorvan:demo || fail "The demo could not be loaded."
# Rows of the schools alone; what is worked out anew, waits, or belongs to a browser is no part of what is kept.
PGPASSWORD=$PG_SECRET "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$DB_PORT" -U gorvan_owner -d "$DB_DATABASE" --data-only --inserts --rows-per-insert=200 --no-owner --no-privileges \
  --exclude-table-data='jobs' --exclude-table-data='failed_jobs' --exclude-table-data='sessions' --exclude-table-data='checkpoint*' --exclude-table-data='given_answers' --exclude-table-data='migrations' \
  --exclude-table-data='leases' --exclude-table-data='log_students' --exclude-table-data='trial_writes' \
  | grep -vE '^(SET|SELECT pg_catalog|--|$)|^.(un)?restrict ' | sed 's/INSERT INTO public\./INSERT INTO /' | gzip -9n > "$1" || fail "It could not be written."
say "$1: $(stat -c %s "$1") bytes"
