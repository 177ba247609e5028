# What a fresh Debian machine lacks: Node, npm packages, PostgreSQL, Chromium. Sourced by ../lea.

as_root() {
  if [ "$(id -u)" -eq 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo "$@"; else
    fail "installing needs root: run as root, or install sudo"
  fi
}

install_debian() {
  echo "lea: installing from Debian's packages: $*"
  as_root apt-get update -qq >/dev/null || fail "apt-get update failed"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "$@" >"$STATE/apt.log" 2>&1 ||
    fail "apt-get could not install $*: see .lea/apt.log"
}

# Node 20.19 or newer. Debian 12 carries an older one; npm then brings a newer one as a package.
node_is_new() {
  local major minor
  # `node --version` answers before anything is loaded.
  IFS=. read -r major minor _ < <(node --version 2>/dev/null | tr -d v)
  [[ "${major:-}" =~ ^[0-9]+$ && "${minor:-}" =~ ^[0-9]+$ ]] && { [ "$major" -gt 20 ] || { [ "$major" -eq 20 ] && [ "$minor" -ge 19 ]; }; }
}

need_node() {
  [ -x "$STATE/node/node_modules/.bin/node" ] && export PATH="$STATE/node/node_modules/.bin:$PATH"
  node_is_new && command -v npm >/dev/null && return 0
  command -v npm >/dev/null && command -v node >/dev/null || install_debian nodejs npm
  node_is_new && return 0
  echo "lea: this machine's Node is too old; bringing a newer one into .lea/node"
  npm install --prefix "$STATE/node" --no-audit --no-fund node@22.23.3 >"$STATE/node.log" 2>&1 ||
    fail "no Node 20.19 or newer could be installed: see .lea/node.log"
  export PATH="$STATE/node/node_modules/.bin:$PATH"
  node_is_new || fail "Node 20.19 or newer is needed"
}

need_packages() {
  local stamp
  stamp="$(cd "$ROOT" && sha256sum package-lock.json | cut -d' ' -f1) $(node --version)"
  [ -d "$ROOT/node_modules" ] && [ "$(cat "$STATE/packages.stamp" 2>/dev/null)" = "$stamp" ] && return 0
  echo "lea: installing npm packages (once; about a minute)"
  (cd "$ROOT" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund >"$STATE/npm.log" 2>&1) ||
    fail "npm ci failed: see .lea/npm.log"
  echo "$stamp" >"$STATE/packages.stamp"
}

# Builds pages and server where a source changed since the last build.
need_build() {
  local stamp
  stamp="$(cd "$ROOT" && { find core/src core/data web/src web/index.html web/vite.config.ts web/package.json server/src server/build.mjs bin/notices.mjs \
    -type f -printf '%p %T@ %s\n' | sort; cat "$STATE/packages.stamp"; } | sha256sum | cut -d' ' -f1)"
  [ -f "$ROOT/server/dist/main.js" ] && [ -f "$ROOT/web/dist/index.html" ] &&
    [ "$(cat "$STATE/build.stamp" 2>/dev/null)" = "$stamp" ] && return 0
  echo "lea: building"
  (cd "$ROOT" && npm run build >"$STATE/build.log" 2>&1) || { tail -30 "$STATE/build.log" >&2; fail "the build failed: see .lea/build.log"; }
  echo "$stamp" >"$STATE/build.stamp"
}

need_postgres() {
  pg_bin_found && return 0
  install_debian postgresql
  pg_bin_found && return 0
  # The package is there but its programs are not: put them back.
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --reinstall \
    "$(dpkg-query -W -f '${Package}\n' 'postgresql-[0-9]*' 2>/dev/null | grep -E '^postgresql-[0-9]+$' | sort -V | tail -1)" \
    >>"$STATE/apt.log" 2>&1 || true
  pg_bin_found || fail "PostgreSQL could not be installed: see .lea/apt.log"
}

# Sets LEA_CHROMIUM. The headless shell starts no window: the tests take two thirds of the time. Older Debian has only the whole one.
need_chromium() {
  local name
  for name in chromium-headless-shell chromium; do
    command -v "$name" >/dev/null || (install_debian "$name") 2>/dev/null || true
    LEA_CHROMIUM="$(command -v "$name")" && export LEA_CHROMIUM && return 0
  done
  fail "Chromium could not be installed: see .lea/apt.log"
}
