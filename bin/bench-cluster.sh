#!/usr/bin/env bash
# A throw-away cluster for measurements that need a database: start BASE · stop BASE. It keeps what it commits, as a real one does.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
STATE="$ROOT/.lea"
fail() { echo "lea: $1" >&2; exit 2; }
. "$ROOT/bin/needs.sh"
. "$ROOT/bin/postgres.sh"
pg_bin_found || fail "there is no PostgreSQL"
case "${1:-}" in
  # The processes of a killed postmaster may still be going: the first try can find them.
  start)
    # At the same port as before, for those who hold its address.
    port="$(sed -n 4p "$2/data/postmaster.pid" 2>/dev/null || true)"
    for _ in $(seq 100); do
      { [ -z "$port" ] || port_is_free "$port"; } && break
      sleep 0.05
    done
    for _ in 1 2 3 4 5 6 7 8 9 10; do
      if (pg_start "$2" "" >/dev/null 2>&1); then exit 0; fi
      sleep 0.3
    done
    fail "the cluster does not start"
    ;;
  stop) pg_stop "$2" ;;
  *) fail "start BASE or stop BASE" ;;
esac
