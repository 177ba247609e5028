# `./lea test`: everything that must hold before a change lands. Sourced by ../lea.
need_node && need_packages
need_postgres
need_chromium

cd "$ROOT"
TEST_BASE="$(mktemp -d /var/tmp/lea-test-XXXXXX)"
REPORTS="$STATE/reports"
rm -rf "$REPORTS" && mkdir -p "$REPORTS"
end_test() {
  pg_stop "$TEST_BASE"
  rm -rf "$TEST_BASE" "$STATE/$(basename "$TEST_BASE").secrets"
}
trap end_test EXIT

# One check with a name: its output is shown, its outcome is counted.
check() {
  local name="$1" code=0
  shift
  echo "── $name"
  "$@" || code=$?
  echo "$name $code" >>"$REPORTS/checks"
}

# The types are looked at while the lint runs: each keeps one core busy.
npm run --silent types >"$REPORTS/types.txt" 2>&1 &
TYPES=$!
types_are_right() {
  local code=0
  wait "$TYPES" || code=$?
  cat "$REPORTS/types.txt"
  return $code
}
check lint npm run --silent lint
check types types_are_right
need_build
check backup "$ROOT/bin/backup-test.sh"
# A few here; a hundred each with `./lea bench kills`.
check kills run_bench kills 4
npx --no -- vitest run --project core --project web --reporter=default --reporter=json --outputFile="$REPORTS/unit.json" || true
pg_start "$TEST_BASE" "-c fsync=off -c full_page_writes=off -c synchronous_commit=off"
pg_load_demo "$TEST_BASE"
export LEA_OWNER_URL LEA_APP_URL LEA_DEMO_DATABASE
npx --no -- vitest run --project server --reporter=default --reporter=json --outputFile="$REPORTS/server.json" || true
PLAYWRIGHT_JSON_OUTPUT_NAME="$REPORTS/browser.json" npx --no -- playwright test -c e2e/playwright.config.ts --reporter=list,json || true

node bin/tally.mjs "$REPORTS"
