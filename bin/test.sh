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

# The day on which the demo and all tests live, whatever the day of the machine: LEA_TEST_DAY moves it. It begins at ten in the
# morning, so that no run crosses midnight.
LEA_TEST_DAY="${LEA_TEST_DAY:-2026-11-26}"
[[ "$LEA_TEST_DAY" =~ ^[0-9]{4}-[0-9]{2}-[0-9]{2}$ ]] || fail "LEA_TEST_DAY must be a day such as 2028-02-29, not '$LEA_TEST_DAY'"
LEA_CLOCK_SHIFT_MS="$(node -e 'process.stdout.write(String(new Date(process.argv[1] + "T10:00:00").getTime() - Date.now()))' "$LEA_TEST_DAY")"
[ "$LEA_CLOCK_SHIFT_MS" != NaN ] || fail "there is no day '$LEA_TEST_DAY'"
export LEA_TEST_DAY LEA_CLOCK_SHIFT_MS

# One check with a name: its output is shown, its outcome is counted.
check() {
  local name="$1" code=0
  shift
  echo "── $name"
  "$@" || code=$?
  echo "$name $code" >>"$REPORTS/checks"
}

# What only reads is done beside what often waits: for a process that was killed, for a chicken that gets warm.
beside() {
  local name
  for name in lint types; do
    npm run --silent "$name" >"$REPORTS/$name.txt" 2>&1 && echo 0 >"$REPORTS/$name.code" || echo $? >"$REPORTS/$name.code"
  done
}
told() {
  cat "$REPORTS/$1.txt"
  return "$(cat "$REPORTS/$1.code")"
}
beside &
BESIDE=$!
need_build
check backup "$ROOT/bin/backup-test.sh"
check production "$ROOT/bin/production-test.sh"
# Some here; a hundred each with `./lea bench kills`.
check kills run_bench kills 8
# No autovacuum: its worker belongs to the cluster, and a test database cannot be dropped while it is at work in it.
pg_start "$TEST_BASE" "-c fsync=off -c full_page_writes=off -c synchronous_commit=off -c autovacuum=off"
pg_load_demo "$TEST_BASE"
export LEA_OWNER_URL LEA_APP_URL LEA_DEMO_DATABASE
npx --no -- vitest run --project server --reporter=default --reporter=json --outputFile="$REPORTS/server.json" || true
wait "$BESIDE" || true
check lint told lint
check types told types
npx --no -- vitest run --project core --project web --reporter=default --reporter=json --outputFile="$REPORTS/unit.json" || true
PLAYWRIGHT_JSON_OUTPUT_NAME="$REPORTS/browser.json" npx --no -- playwright test -c e2e/playwright.config.ts --reporter=list,json || true

node bin/tally.mjs "$REPORTS"
