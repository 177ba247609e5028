# `./lea backup FILE` and `./lea restore FILE`: everything in Lea's own cluster as one file of PostgreSQL's own format. Sourced by ../lea.
# With DATABASE_URL the tools of that server do this (docs/serving.md).

# pg_backup BASE FILE: of a running cluster, consistent while people go on working.
pg_backup() {
  local port
  port="$(sed -n 4p "$1/data/postmaster.pid")"
  (umask 077 && pg_as "$1" "$PG_BIN/pg_dump" -h "$1/sock" -p "$port" -U postgres -Fc lea >"$2.part") && mv "$2.part" "$2"
}

# pg_restore_into BASE FILE: into a database that holds no setting; refused where one does. All of it or nothing: it is put into a database
# beside, in one transaction, and takes the place of the empty one when it is whole.
pg_restore_into() {
  local base="$1" port had
  port="$(sed -n 4p "$base/data/postmaster.pid")"
  as_postgres() { pg_as "$base" "$PG_BIN/$1" -h "$base/sock" -p "$port" -U postgres "${@:2}"; }
  pg_as "$base" "$PG_BIN/pg_restore" --list <"$2" >/dev/null 2>&1 || return 3
  had="$(as_postgres psql -X -A -t -d lea -c "select to_regclass('public.settings') is not null" 2>/dev/null)"
  if [ "$had" = t ]; then
    [ "$(as_postgres psql -X -A -t -d lea -c 'select count(*) from settings')" = 0 ] || return 4
  fi
  as_postgres dropdb --if-exists lea_restored && as_postgres createdb -O lea_owner lea_restored || return 5
  if ! as_postgres pg_restore -d lea_restored --single-transaction --exit-on-error <"$2"; then
    as_postgres dropdb lea_restored
    return 5
  fi
  as_postgres dropdb --if-exists lea || return 5
  as_postgres psql -X -q -d postgres -c 'alter database lea_restored rename to lea' || return 5
}

backup() {
  local file="$1" started=
  [ -z "${DATABASE_URL:-}" ] || fail "backup works on Lea's own cluster; for DATABASE_URL see docs/serving.md"
  [ ! -e "$file" ] || fail "'$file' is there already: name another file"
  need_postgres
  PG_BASE="$(pg_base "$ROOT")"
  [ -s "$PG_BASE/data/PG_VERSION" ] || fail "there is nothing to back up yet"
  pg_running "$PG_BASE" || { pg_start "$PG_BASE" "" && started=1; }
  pg_backup "$PG_BASE" "$file" || { rm -f "$file.part"; fail "the backup could not be written to '$file'"; }
  [ -z "$started" ] || pg_stop "$PG_BASE"
  echo "Everything is in $file. It holds children's data: keep it as carefully as Lea."
}

restore() {
  local file="$1" code=0
  [ -z "${DATABASE_URL:-}" ] || fail "restore works on Lea's own cluster; for DATABASE_URL see docs/serving.md"
  [ -r "$file" ] || fail "'$file' cannot be read"
  if running_address >/dev/null; then fail "Lea is running: ./lea stop first"; fi
  need_postgres
  PG_BASE="$(pg_base "$ROOT")"
  pg_start "$PG_BASE" ""
  pg_restore_into "$PG_BASE" "$file" || code=$?
  pg_stop "$PG_BASE"
  case "$code" in
    0) echo "Everything of $file is back. ./lea start serves it." ;;
    3) fail "'$file' is no backup of Lea" ;;
    4) fail "there is a setting here already: a backup goes into an empty Lea only" ;;
    *) fail "'$file' could not be restored" ;;
  esac
}

# A backup is worth what comes back from it: into a cluster of its own, with a server on it for a moment, and away again. Nothing of the running
# Lea is touched. Says how long it took, and what came back.
drill() {
  local file="$1" base began address='' server code=0
  [ -r "$file" ] || fail "'$file' cannot be read"
  need_node && need_packages && need_build
  need_postgres
  base="$(mktemp -d /var/tmp/lea-drill-XXXXXX)"
  began="$(date +%s)"
  (
    end_drill() {
      [ -z "${server:-}" ] || kill -TERM "$server" 2>/dev/null || true
      [ -z "${server:-}" ] || wait "$server" 2>/dev/null || true
      pg_stop "$base"
      rm -rf "$base" "$STATE/$(basename "$base").secrets"
    }
    trap end_drill EXIT
    pg_start "$base" ""
    pg_restore_into "$base" "$file" || fail "'$file' could not be restored: it is no backup, or it is damaged"
    export LEA_OWNER_URL LEA_APP_URL LEA_SECRET=drill LEA_ADDRESS_FILE="$base/address" HOST=127.0.0.1 PORT=
    install -m 0666 /dev/null "$base/address"
    node "$ROOT/server/dist/main.js" >"$STATE/drill.log" 2>&1 &
    server=$!
    for _ in $(seq 600); do
      [ -s "$base/address" ] && break
      kill -0 "$server" 2>/dev/null || { cat "$STATE/drill.log" >&2; fail 'the server did not start on it'; }
      sleep 0.1
    done
    address="$(cat "$base/address")"
    node -e 'fetch(process.argv[1] + "readyz").then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))' "$address" ||
      fail 'the server is not ready on it'
    node "$ROOT/server/dist/setting.js" list
  ) || code=$?
  [ "$code" -eq 0 ] || exit 2
  echo "The backup comes back: restored and served in $(($(date +%s) - began)) s. Nothing of it is left here."
}
