# Shared by bin/demo and bin/test. Source it; it runs nothing by itself.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
PG_BIN=/usr/lib/postgresql/15/bin
export NUXT_TELEMETRY_DISABLED=1

say() { printf 'eldrin: %s\n' "$*"; }
die() { printf 'eldrin: %s\n' "$*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo "$@"; else die "needs root to run: $*"; fi
}

# need PROGRAM-PATH DEBIAN-PACKAGE...: installs the packages when the program is not there.
need() {
  local program=$1; shift
  [ -x "$program" ] && return
  say "installing $*"
  as_root env DEBIAN_FRONTEND=noninteractive sh -c 'apt-get update -qq && apt-get install -y -qq --no-install-recommends "$@"' sh "$@" >/dev/null \
    || die "could not install $*"
}

# node_modules follow the lock file; unchanged lock, no install.
need_modules() {
  local stamp=$ROOT/node_modules/.eldrin-lock
  local lock; lock=$(cksum < "$ROOT/package-lock.json")
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$lock" ] && return
  say 'installing packages'
  (cd "$ROOT" && npm ci --no-fund --no-audit --loglevel=error) || die 'npm ci failed'
  printf '%s' "$lock" > "$stamp"
}

# What one checkout has made every other of this machine may take, a fresh clone too: builds by what they were made of,
# and what linter, formatter and types know of files, which they hold against each file's content themselves.
CACHES=${XDG_CACHE_HOME:-${HOME:-$ROOT/.data}/.cache}/eldrin

# keep_in_cache FOLDER NAME: a copy of the folder takes the place of what is kept under that name. A cache that cannot be written is none.
keep_in_cache() {
  local kept=$CACHES/$2
  mkdir -p "$(dirname "$kept")" 2>/dev/null || return 0
  (
    flock 9
    rm -rf "$kept.new" && cp -a "$1" "$kept.new" && rm -rf "$kept" && mv -T "$kept.new" "$kept" && touch "$kept"
  ) 9>"$CACHES/lock" 2>/dev/null || true
}

# take_from_cache NAME FOLDER: puts what is kept in the folder's place; fails where there is nothing.
take_from_cache() {
  [ -d "$CACHES/$1" ] || return 1
  (
    flock 9
    rm -rf "$2" && mkdir -p "$(dirname "$2")" && cp -a "$CACHES/$1" "$2" && touch "$CACHES/$1"
  ) 9>"$CACHES/lock" 2>/dev/null || { rm -rf "$2"; return 1; }
}

free_port() {
  node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'
}

port_free() {
  node -e 'require("net").createServer().on("error",()=>process.exit(1)).listen(+process.argv[1],"127.0.0.1",function(){this.close()})' "$1"
}

# PostgreSQL refuses to run as root; root hands it to the postgres user.
as_postgres() {
  if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

# pg_home NAME: a data folder in the project, or beside it in /var/tmp when the postgres user cannot reach the project.
pg_home() {
  local home=$ROOT/.data/$1
  if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$ROOT"; then
    home=/var/tmp/eldrin-$(printf '%s' "$ROOT" | cksum | cut -d' ' -f1)/$1
  fi
  printf '%s' "$home"
}

# For records that need not outlive the machine.
PG_FORGETS='-c fsync=off -c synchronous_commit=off -c full_page_writes=off'

# pg_start HOME: starts the server of a data folder unless it runs, on a free port of the loopback. Sets PG_PORT, PG_STARTED.
# PG_MORE holds further settings as postgres takes them.
pg_start() {
  local home=$1
  PG_STARTED=
  mkdir -p "$home"
  [ "$(id -u)" = 0 ] && chown postgres: "$home"
  chmod 700 "$home"
  if [ ! -f "$home/data/PG_VERSION" ]; then
    (cd / && as_postgres "$PG_BIN/initdb" -D "$home/data" -U eldrin -A trust -E UTF8 --locale=C.UTF-8 >/dev/null) || die 'initdb failed'
  fi
  if (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$home/data" status >/dev/null 2>&1); then
    PG_PORT=$(sed -n 4p "$home/data/postmaster.pid")
    return
  fi
  PG_PORT=$(free_port)
  (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$home/data" -w -l "$home/log" \
    -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='$home' ${PG_MORE:-}" start >/dev/null) || die "PostgreSQL did not start; see $home/log"
  PG_STARTED=$home
}

pg_stop() {
  [ -n "${PG_STARTED:-}" ] && (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$PG_STARTED/data" -m fast -w stop >/dev/null)
  PG_STARTED=
}

# pg_away HOME MODE: stops the server of a data folder, "immediate" as by a crash; pg_back HOME PORT: starts it again where it was.
pg_away() { (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$1/data" -m "$2" -w stop >/dev/null); }
pg_back() {
  (cd / && as_postgres "$PG_BIN/pg_ctl" -D "$1/data" -w -l "$1/log" -o "-p $2 -c listen_addresses=127.0.0.1 -c unix_socket_directories='$1'" start >/dev/null)
}

# pg_database NAME: makes the database unless it is there.
pg_database() {
  "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U eldrin -d postgres -tAc "select 1 from pg_database where datname = '$1'" | grep -q 1 \
    || "$PG_BIN/createdb" -h 127.0.0.1 -p "$PG_PORT" -U eldrin "$1"
}

# pg_url NAME: the database for its owner; app_url NAME: as the application connects, which can neither change nor empty the log.
pg_url() { printf 'postgres://eldrin@127.0.0.1:%s/%s' "$PG_PORT" "$1"; }
app_url() { printf 'postgres://eldrin_app@127.0.0.1:%s/%s' "$PG_PORT" "$1"; }

# What the built application depends on, tests beside it left out: build again only when this changes.
source_mark() {
  (cd "$ROOT" && find app contracts core public server shell nuxt.config.ts package-lock.json tsconfig.json -type f ! -name '*.test.ts' -print0 | sort -z | xargs -0 cksum | cksum)
}

need_build() {
  local stamp=$ROOT/.output/.eldrin-source
  local mark; mark=$(source_mark)
  if [ ! -f "$stamp" ] || [ "$(cat "$stamp")" != "$mark" ]; then
    take_from_cache "builds/$(build_name "$mark")" "$ROOT/.output" || make_build "$mark"
  fi
  need_packs "$mark"
}

build_name() { printf '%s on node %s' "$1" "$(node --version)" | cksum | tr -d ' '; }

# How many builds are kept: the one that is worked on, the one that is proven, and a few before.
BUILDS_KEPT=4

make_build() {
  say 'building'
  [ -f "$ROOT/.nuxt/tsconfig.json" ] || (cd "$ROOT" && npx --no-install nuxt prepare --logLevel silent >/dev/null)
  (cd "$ROOT" && ELDRIN_BUILD_DIR=$ROOT/.data/nuxt npx --no-install nuxt build --logLevel silent >"$ROOT/.data/build.log" 2>&1) || { tail -40 "$ROOT/.data/build.log" >&2; die 'the build failed'; }
  printf '%s' "$1" > "$ROOT/.output/.eldrin-source"
  keep_in_cache "$ROOT/.output" "builds/$(build_name "$1")"
  ls -1td "$CACHES"/builds/* 2>/dev/null | tail -n +$((BUILDS_KEPT + 1)) | xargs -r -d '\n' rm -rf || true
}

# The layouts are read and looked through once for a build, not at every start of it.
need_packs() {
  local stamp=$ROOT/.output/.eldrin-packs
  local mark; mark=$1:$(cd "$ROOT" && find packs -type f -print0 | sort -z | xargs -0 cksum | cksum)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$mark" ] && return
  say 'looking through the layouts'
  (cd "$ROOT" && npx --no-install tsx bin/check-packs.ts --keep) || die 'a layout is not sound'
  printf '%s' "$mark" > "$stamp"
}
