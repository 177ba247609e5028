#!/usr/bin/env bash
# The two commands of a backup, for real: the demo out of one cluster, into a fresh one, and compared row by row.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
STATE="$(mktemp -d /var/tmp/lea-backup-state-XXXXXX)"
A="$(mktemp -d /var/tmp/lea-backup-a-XXXXXX)"
B="$(mktemp -d /var/tmp/lea-backup-b-XXXXXX)"
fail() { echo "backup test: $1" >&2; exit 1; }
. "$ROOT/bin/needs.sh"
. "$ROOT/bin/postgres.sh"
. "$ROOT/bin/backup.sh"
end_backup_test() {
  pg_stop "$A"
  pg_stop "$B"
  rm -rf "$A" "$B" "$STATE"
}
trap end_backup_test EXIT
pg_bin_found || fail "there is no PostgreSQL"
FAST="-c fsync=off -c full_page_writes=off -c synchronous_commit=off"

# Every row of every table as text, in order, as one sum.
sums() {
  local port t
  port="$(sed -n 4p "$1/data/postmaster.pid")"
  for t in $(pg_as "$1" "$PG_BIN/psql" -X -A -t -h "$1/sock" -p "$port" -U postgres -d lea \
    -c "select tablename from pg_tables where schemaname = 'public' order by 1"); do
    echo "$t $(pg_as "$1" "$PG_BIN/psql" -X -A -t -h "$1/sock" -p "$port" -U postgres -d lea \
      -c "select count(*), md5(coalesce(string_agg(r::text, '|' order by r::text), '')) from $t r")"
  done
}

pg_start "$A" "$FAST"
LEA_SECRET=test LEA_OWNER_URL="$LEA_OWNER_URL" LEA_APP_URL="$LEA_APP_URL" node "$ROOT/server/dist/main.js" --demo --no-serve
pg_backup "$A" "$STATE/demo.backup" || fail "no backup was written"
before="$(sums "$A")"
[[ "$before" == *"events "* ]] && [ "$(echo "$before" | grep -c .)" -ge 10 ] || fail "the demo is not there: $before"

pg_start "$B" "$FAST"
echo "no backup at all" >"$STATE/broken.backup"
code=0 && pg_restore_into "$B" "$STATE/broken.backup" || code=$?
[ "$code" -eq 3 ] || fail "a broken file was taken ($code)"
# A file that was cut off in the middle, at several places: the empty Lea stays as it was, and nothing of anybody is in it.
LEA_SECRET=test LEA_OWNER_URL="$LEA_OWNER_URL" LEA_APP_URL="$LEA_APP_URL" node "$ROOT/server/dist/main.js" --no-serve
size="$(stat -c %s "$STATE/demo.backup")"
for part in 30 60 90 99; do
  head -c "$((size * part / 100))" "$STATE/demo.backup" >"$STATE/cut.backup"
  code=0 && pg_restore_into "$B" "$STATE/cut.backup" 2>/dev/null || code=$?
  [ "$code" -eq 5 ] || [ "$code" -eq 3 ] || fail "a file cut at $part per cent was taken ($code)"
  left="$(sums "$B" | grep -E '^(settings|children|sessions|events) ' | awk '{ n += substr($2, 1, index($2, "|") - 1) } END { print n + 0 }')"
  [ "$left" = 0 ] || fail "a file cut at $part per cent left $left rows"
done
pg_restore_into "$B" "$STATE/demo.backup" || fail "it could not be restored"
[ "$(sums "$B")" = "$before" ] || fail "what came back is not the same"
# The restored house serves: migrations find nothing to do, policies hold for the role that owns nothing.
LEA_SECRET=test LEA_OWNER_URL="$LEA_OWNER_URL" LEA_APP_URL="$LEA_APP_URL" node "$ROOT/server/dist/main.js" --no-serve
port="$(sed -n 4p "$B/data/postmaster.pid")"
seen="$(pg_as "$B" "$PG_BIN/psql" -X -A -t -h "$B/sock" -p "$port" -U postgres -d lea -c "set role lea_app; select count(*) from children" | tail -1)"
[ "$seen" = 0 ] || fail "without a setting children are seen: $seen"
code=0 && pg_restore_into "$B" "$STATE/demo.backup" || code=$?
[ "$code" -eq 4 ] || fail "a house with a setting was overwritten ($code)"
echo "backup and restore: $(echo "$before" | grep -c .) tables are the same; of four files that were cut nothing was left"
