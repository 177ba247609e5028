#!/usr/bin/env bash
# A production install, as docs/serving.md tells it: what was built, `npm ci --omit=dev`, roles.sql; it starts, serves, and goes when it is told.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
STATE="$ROOT/.lea"
fail() { echo "production: $1" >&2; exit 1; }
# shellcheck source=bin/needs.sh
. "$ROOT/bin/needs.sh"
# shellcheck source=bin/postgres.sh
. "$ROOT/bin/postgres.sh"
need_postgres
command -v curl >/dev/null || install_debian curl

HERE="$(mktemp -d /var/tmp/lea-production-XXXXXX)"
BASE="$(mktemp -d /var/tmp/lea-production-pg-XXXXXX)"
SERVER=
end() {
  [ -z "$SERVER" ] || kill -KILL "$SERVER" 2>/dev/null || true
  pg_stop "$BASE"
  rm -rf "$HERE" "$BASE" "$STATE/$(basename "$BASE").secrets"
}
trap end EXIT

cp "$ROOT/package.json" "$ROOT/package-lock.json" "$HERE/"
for room in core server web e2e; do mkdir -p "$HERE/$room" && cp "$ROOT/$room/package.json" "$HERE/$room/"; done
cp -r "$ROOT/server/dist" "$ROOT/server/migrations" "$HERE/server/"
cp -r "$ROOT/web/dist" "$HERE/web/"
(cd "$HERE" && npm ci --omit=dev --prefer-offline --no-audit --no-fund >"$HERE/npm.log" 2>&1) || { tail -20 "$HERE/npm.log" >&2; fail 'npm ci --omit=dev failed'; }
for tool in vite esbuild vitest playwright-core; do
  [ ! -e "$HERE/node_modules/$tool" ] || fail "$tool is installed: it is a tool of the makers"
done

pg_start "$BASE" ''
export LEA_OWNER_URL LEA_APP_URL
LEA_SECRET=production LEA_ADDRESS_FILE="$HERE/address" LEA_METRICS=127.0.0.1:0 node "$HERE/server/dist/main.js" >"$HERE/server.log" 2>&1 &
SERVER=$!
for _ in $(seq 200); do
  [ -s "$HERE/address" ] && break
  kill -0 "$SERVER" 2>/dev/null || { cat "$HERE/server.log" >&2; fail 'it did not start'; }
  sleep 0.1
done
AT="$(cat "$HERE/address")"
AT="${AT%/}"
# Whole answers go into a file: a reader that has seen enough would cut them off.
ask() { curl -sS -m 20 -b "$HERE/jar" -c "$HERE/jar" -H "origin: $AT" "$@"; }
[ "$(ask -o /dev/null -w '%{http_code}' "$AT/readyz")" = 200 ] || fail 'it is not ready'
holds() { ask "$AT$1" -o "$HERE/answer" && grep -qa -- "$2" "$HERE/answer"; }
holds / '<div id="app"' || fail 'it serves no page'
holds /third-party-notices.txt express || fail 'the notices of third parties are not served'
# The first owner of a setting that the operator made; then a paper, a record and an archive: each in a thread of its own.
WORD="$(LEA_AT="$AT" node "$HERE/server/dist/setting.js" make 'Production Row' --kind home | sed -n 's/.*welcome#//p')"
[ -n "$WORD" ] || fail 'the operator made no setting'
ask -X POST "$AT/api/link/owner" -H 'content-type: application/json' \
  -d "{\"word\":\"$WORD\",\"owner\":\"Alder\",\"signIn\":\"alder\",\"password\":\"bramble-quayside-9\"}" -o /dev/null -w '%{http_code}' | grep -q 201 || fail 'the first owner was not let in'
RECIPE="$(ask "$AT/api/recipes" | node -e 'let t="";process.stdin.on("data",(d)=>(t+=d)).on("end",()=>console.log(JSON.parse(t)[0].id))')"
CHILD="$(ask -X POST "$AT/api/children" -H 'content-type: application/json' -d '{"nickname":"Juno","birth":"2021-02","concerns":[],"diets":[],"languages":[],"needs":[]}' | node -e 'let t="";process.stdin.on("data",(d)=>(t+=d)).on("end",()=>console.log(JSON.parse(t).id))')"
SESSION="$(ask -X POST "$AT/api/sessions" -H 'content-type: application/json' -d "{\"recipe\":\"$RECIPE\",\"date\":\"$(date +%F)\",\"start\":\"10:00\",\"until\":\"11:00\",\"children\":[\"$CHILD\"],\"guests\":[],\"adults\":[],\"seats\":[]}" | node -e 'let t="";process.stdin.on("data",(d)=>(t+=d)).on("end",()=>console.log(JSON.parse(t).id??t))')"
holds "/api/sessions/$SESSION/papers/run.pdf" '%PDF' || fail "no paper came ($SESSION)"
holds /api/record '"overview"' || fail 'no record came'
holds /api/archive PK || fail 'no archive came'
kill -TERM "$SERVER"
wait "$SERVER" || fail 'it did not go well'
SERVER=
grep -q . "$HERE/server.log" && ! grep -q '"level":50' "$HERE/server.log" || { cat "$HERE/server.log" >&2; fail 'the log holds a fault'; }
echo 'production: it starts, serves, makes a paper, a record and an archive, and goes'
