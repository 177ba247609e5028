# `./lea bench [NAME] [TIMES]`: with a throw-away cluster for the measurements that need a database. Sourced by ../lea and test.sh.
run_bench() {
  local base code=0
  need_postgres
  base="$(mktemp -d /var/tmp/lea-bench-XXXXXX)"
  (
    end_bench() {
      pg_stop "$base"
      rm -rf "$base" "$STATE/$(basename "$base").secrets"
    }
    trap end_bench EXIT
    pg_start "$base" ""
    export LEA_OWNER_URL LEA_APP_URL LEA_BENCH_BASE="$base" LEA_PG_BIN="$PG_BIN" LEA_ROOT="$ROOT"
    node "$ROOT/server/dist/bench.js" "$@"
  ) || code=$?
  return "$code"
}
