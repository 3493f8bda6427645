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
  for name in "$@"; do
    dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || missing+=("$name")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  local as_root=""
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null ||
      fail "These Debian packages are missing: ${missing[*]}. As root: apt-get install ${missing[*]}"
    as_root="sudo"
  fi
  say "Installing Debian packages: ${missing[*]}"
  $as_root apt-get update -qq >/dev/null || fail "apt-get update failed: is there a way to Debian's packages?"
  DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq --no-install-recommends "${missing[@]}" \
    >tmp/apt.log 2>&1 || { tail -5 tmp/apt.log >&2; fail "apt-get install ${missing[*]} failed."; }
}

# unpack_package NAME: what a Debian package holds, under .local/debs, without installing it: so that nothing is started.
unpack_package() {
  [ -x "/usr/sbin/$1" ] || [ -x ".local/debs/$1/usr/sbin/$1" ] && return 0
  say "Fetching Debian's $1; it is unpacked here, not installed ..."
  local place="$ROOT/tmp/$1-package"
  rm -rf "$place"; mkdir -p "$place"; chmod 777 "$place"
  (cd "$place" && apt-get download -qq "$1" >../apt.log 2>&1) ||
    { [ "$(id -u)" -eq 0 ] && apt-get update -qq >/dev/null 2>&1 &&
      (cd "$place" && apt-get download -qq "$1" >../apt.log 2>&1); } || return 1
  mkdir -p ".local/debs/$1"
  dpkg -x "$place"/*.deb ".local/debs/$1" && rm -rf "$place"
}

server_packages() {
  local list=(ruby ruby-dev bundler build-essential ca-certificates libpq-dev libyaml-dev libssl-dev tzdata
    util-linux poppler-utils)
  [ -z "${DATABASE_URL:-}" ] && list+=(postgresql postgresql-contrib)
  need_packages "${list[@]}"
  # Ruby's own compiler is there on some processors only.
  YJIT=""; ruby --yjit -e "" 2>/dev/null && YJIT="--yjit --yjit-exec-mem-size=64"
  node_here
}

# What the interface is built with wants a Node of these days. Debian 12's is older: then a pinned one is fetched from
# the npm registry, checked by its digest, and laid into .local/, where the system does not see it.
NODE_PINNED=24.20.0
NODE_DIGEST_amd64="tkBwUleGts0UUnK+6HKJkEsOMFb9bkG/YvXw8/alFTaDSUbneVeAFVqu6ELHXuyvVYP4vo1hNAAEfN9zl0Cm3g=="
NODE_DIGEST_arm64="LDOiQuLlruQpQRp0ddfGZurc1xqYSlX3dYk/3shzhQfCb8IgCPwtWf1RMQCGAWGFhZNbhihhSwGeNRHA+V2pTg=="

node_is_new() {
  node -e 'const [major, minor] = process.versions.node.split(".").map(Number);
    process.exit(major >= 22 || (major === 20 && minor >= 19) ? 0 : 1)' 2>/dev/null
}

node_here() {
  [ -x .local/node/bin/node ] && export PATH="$ROOT/.local/node/bin:$PATH"
  command -v npm >/dev/null || need_packages npm
  node_is_new && return 0
  local machine; machine="$(dpkg --print-architecture)"
  local digest="NODE_DIGEST_$machine"
  [ -n "${!digest:-}" ] || fail "Node 20.19 or newer is needed to build the interface; here is \
$(node -v 2>/dev/null || echo none), and none is known for $machine. Put one on the PATH."
  say "Fetching Node $NODE_PINNED for the interface; the system's own stays as it is ..."
  local package="node-linux-${machine/amd64/x64}"
  (cd tmp && npm pack --silent "$package@$NODE_PINNED" >/dev/null) ||
    fail "npm could not fetch $package: is there a way to the npm registry?"
  local pack="tmp/$package-$NODE_PINNED.tgz"
  [ "$(openssl dgst -sha512 -binary "$pack" | base64 -w0)" = "${!digest}" ] ||
    { rm -f "$pack"; fail "What came as Node $NODE_PINNED is not what was pinned, so it was thrown away."; }
  mkdir -p .local/node
  tar xzf "$pack" -C .local/node --strip-components=1 package/bin/node package/LICENSE
  rm -f "$pack"
  export PATH="$ROOT/.local/node/bin:$PATH"
  node_is_new || fail "The Node that was fetched does not run here: $(.local/node/bin/node -v 2>&1 | tail -1)"
}

# gems.lock pins every version without naming a registry; Bundler's own lock file is made from it.
lock_gems() {
  [ -f Gemfile.lock ] && [ ! gems.lock -nt Gemfile.lock ] && return 0
  local source; source="$(ruby -e 'place = Gem.sources.first
    print (place.respond_to?(:uri) ? place.uri.to_s : place.to_s).chomp("/")')"
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
  local sources=(ui/src ui/index.html ui/public ui/package.json ui/vite.config.ts ui/vite.sw.config.ts contract)
  local newer; newer="$(find "${sources[@]}" -newer "$stamp" -type f 2>/dev/null | head -1 || true)"
  if [ -f "$stamp" ] && [ -z "$newer" ]; then return 0; fi
  say "Building the interface ..."
  (cd ui && npm run --silent types >/dev/null && npx vite build --logLevel warn >&2 &&
    npx vite build --config vite.sw.config.ts --logLevel warn >&2) ||
    fail "The interface did not build."
  touch "$stamp"
}
