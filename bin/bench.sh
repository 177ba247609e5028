# `./lea bench [NAME] [TIMES]`: `offline MINUTES` and `faces`, `tasks`, `kinds`, `paint` and `hands` in the browser, `drawn RECIPES`, `same`, `properties ROUNDS` and `requests COUNT` by drawn tests, all others with a throw-away cluster for the measurements that need a database. Sourced by ../lea and test.sh.
# Every property of core and web with other draws than the tests have: a seed for each round, said so that it can be drawn again.
draw_properties() {
  local round seed code=0
  for ((round = 1; round <= $1; round++)); do
    seed="${LEA_SEED:-$((RANDOM * 32768 + RANDOM))}"
    echo "seed $seed"
    (cd "$ROOT" && grep -rl fast-check core/test web/test --include='*.test.ts' | LEA_SEED="$seed" LEA_DRAWS="${LEA_DRAWS:-100}" xargs npx --no -- vitest run --project core --project web --reporter=dot) || code=1
  done
  return "$code"
}

run_bench() {
  local base code=0
  if [ "${1:-}" = drawn ]; then
    [[ "${2:-10000}" =~ ^[1-9][0-9]{0,5}$ ]] || fail "recipes must be a whole number from 1 to 999999"
    (cd "$ROOT" && LEA_DRAWN="${2:-10000}" npx --no -- vitest run --project core --reporter=verbose plan/check/drawn plan/every-recipe plan/portion/sums)
    return
  fi
  if [ "${1:-}" = same ]; then
    (cd "$ROOT" && LEA_SAME_PLANS=500 npx --no -- vitest run --project core --reporter=verbose plan/same-plans $([ "${2:-}" = write ] && echo --update))
    return
  fi
  if [ "${1:-}" = properties ]; then
    [[ "${2:-5}" =~ ^[1-9][0-9]{0,3}$ ]] || fail "rounds must be a whole number from 1 to 9999"
    draw_properties "${2:-5}"
    return
  fi
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
    if [ "${1:-}" = offline ]; then
      [[ "${2:-30}" =~ ^[1-9][0-9]{0,2}$ ]] || fail "minutes must be a whole number from 1 to 999"
      need_chromium
      pg_load_demo "$base"
      export LEA_DEMO_DATABASE LEA_OFFLINE_MINUTES="${2:-30}"
      cd "$ROOT" && npx --no -- playwright test -c e2e/playwright.config.ts --reporter=list offline -g 'begins without a network|three hundred taps'
    elif [ "${1:-}" = faces ] || [ "${1:-}" = tasks ] || [ "${1:-}" = kinds ] || [ "${1:-}" = paint ] || [ "${1:-}" = hands ]; then
      need_chromium
      pg_load_demo "$base"
      export LEA_DEMO_DATABASE LEA_FACES=1
      cd "$ROOT" && npx --no -- playwright test -c e2e/playwright.config.ts --reporter=line "$1"
    elif [ "${1:-}" = requests ]; then
      [[ "${2:-10000}" =~ ^[1-9][0-9]{0,5}$ ]] || fail "requests must be a whole number from 1 to 999999"
      pg_load_demo "$base"
      export LEA_DEMO_DATABASE LEA_REQUESTS="${2:-10000}" LEA_REQUESTS_SEED="$RANDOM"
      echo "seed $LEA_REQUESTS_SEED"
      cd "$ROOT" && npx --no -- vitest run --project server --reporter=verbose rights
    else
      node "$ROOT/server/dist/bench.js" "$@"
    fi
  ) || code=$?
  return "$code"
}
