# Shared by the commands here: finds out what is missing and installs it, quickly when nothing is.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
export BUNDLE_PATH="$ROOT/vendor/bundle" BUNDLE_SILENCE_ROOT_WARNING=1 BUNDLE_GEMFILE="$ROOT/Gemfile"
export LANG=C.UTF-8 LC_ALL=C.UTF-8
mkdir -p .local tmp

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

# need_packages NAME... : Debian packages, installed only if missing.
need_packages() {
  local missing=()
  for name in "$@"; do dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || missing+=("$name"); done
  [ ${#missing[@]} -eq 0 ] && return 0
  local as_root=""
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null || fail "These Debian packages are missing: ${missing[*]}. Install them as root: apt-get install ${missing[*]}"
    as_root="sudo"
  fi
  say "Installing Debian packages: ${missing[*]}"
  $as_root apt-get update -qq >/dev/null || fail "apt-get update failed: is there a way to Debian's packages?"
  DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq --no-install-recommends "${missing[@]}" >tmp/apt.log 2>&1 || { tail -5 tmp/apt.log >&2; fail "apt-get install ${missing[*]} failed."; }
}

server_packages() {
  local list=(ruby ruby-dev bundler build-essential libpq-dev libyaml-dev libssl-dev tzdata util-linux poppler-utils)
  [ -z "${DATABASE_URL:-}" ] && list+=(postgresql postgresql-contrib)
  command -v node >/dev/null || list+=(nodejs npm)
  need_packages "${list[@]}"
  local major; major="$(node -p 'process.versions.node.split(".")[0]')"
  [ "$major" -ge 20 ] || fail "Node 20 or newer is needed to build the interface; here is $(node -v)."
}

# gems.lock pins every version without naming a registry; Bundler's own lock file is made from it.
lock_gems() {
  [ -f Gemfile.lock ] && [ ! gems.lock -nt Gemfile.lock ] && return 0
  local source; source="$(ruby -e 'place = Gem.sources.first; print (place.respond_to?(:uri) ? place.uri.to_s : place.to_s).chomp("/")')"
  sed "s#^  remote: REGISTRY\$#  remote: ${source}/#" gems.lock > Gemfile.lock
}

gems() {
  local stamp=.local/gems.stamp
  lock_gems
  [ -f "$stamp" ] && [ "$stamp" -nt gems.lock ] && [ "$stamp" -nt Gemfile ] && [ -d vendor/bundle ] && return 0
  say "Installing gems (about three minutes the first time) ..."
  bundle install --jobs "$(nproc)" --quiet >&2 || fail "bundle install failed."
  touch "$stamp"
}

# Node packages, then the interface, each only when its sources changed.
interface_packages() {
  [ -f ui/node_modules/.stamp ] && [ ui/node_modules/.stamp -nt ui/package-lock.json ] && return 0
  say "Installing what the interface is built with ..."
  (cd ui && npm ci --no-audit --no-fund --loglevel=error >&2) || fail "npm ci failed."
  touch ui/node_modules/.stamp
}

interface() {
  interface_packages
  local stamp=ui/dist/.stamp
  if [ -f "$stamp" ] && [ -z "$(find ui/src ui/index.html ui/public ui/package.json ui/vite.config.ts contract -newer "$stamp" -type f 2>/dev/null | head -1)" ]; then return 0; fi
  say "Building the interface ..."
  (cd ui && npm run --silent types >/dev/null && npx vite build --logLevel warn >&2) || fail "The interface did not build."
  touch "$stamp"
}
