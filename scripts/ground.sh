# What ./start and ./test share: packages, the build, a PostgreSQL cluster. Sourced, never run.

say() { printf '%s\n' "$*" >&2; }

fail() {
  say "Late Thistle: $*"
  exit 1
}

# Installs what is missing. Arguments: "test:package" pairs, a test being a command or a file.
need() {
  local missing=() pair
  for pair in "$@"; do
    local what="${pair%%:*}" package="${pair##*:}"
    if ! command -v "$what" > /dev/null && ! [ -e "$what" ]; then missing+=("$package"); fi
  done
  [ ${#missing[@]} -eq 0 ] && return
  local line="apt-get install -y --no-install-recommends ${missing[*]}"
  local as=()
  if [ "$(id -u)" -ne 0 ]; then
    if ! sudo -n true 2> /dev/null; then
      fail "missing: ${missing[*]}. Install with: sudo $line"
    fi
    as=(sudo -n)
  fi
  say "Installing ${missing[*]}"
  local log
  log="$(mktemp)"
  if ! { "${as[@]}" apt-get update -qq &&
    "${as[@]}" env DEBIAN_FRONTEND=noninteractive $line -qq; } > "$log" 2>&1; then
    tail -n 5 "$log" >&2
    fail "could not install ${missing[*]}; see $log"
  fi
  rm -f "$log"
}

PG=/usr/lib/postgresql/15/bin
DATABASE=("$PG/postgres:postgresql-15")
PROGRAMS=(javac:openjdk-17-jdk-headless mvn:maven node:nodejs npm:npm ffmpeg:ffmpeg bwrap:bubblewrap
  flock:util-linux ots-sanitize:opentype-sanitizer espeak-ng:espeak-ng pocketsphinx_batch:pocketsphinx
  /usr/share/pocketsphinx/model/en-us/en-us/mdef:pocketsphinx-en-us)

check_versions() {
  local java node
  java="$(javac -version 2>&1 | grep -oE '[0-9]+' | head -n 1)"
  node="$(node --version | grep -oE '[0-9]+' | head -n 1)"
  [ "$java" -ge 17 ] || fail "Java $java is too old; install a JDK of version 17 or newer."
  [ "$node" -ge 20 ] || fail "Node $node is too old; install version 20 or newer."
}

# Runs a PostgreSQL program as a user it accepts: never as root.
as_postgres() {
  if [ "$(id -u)" -eq 0 ]; then
    (cd / && exec runuser -u postgres -- "$@")
  else
    (cd / && exec "$@")
  fi
}

port_taken() { (exec 3<> "/dev/tcp/127.0.0.1/$1") 2> /dev/null; }

free_port() {
  local port="$1"
  while port_taken "$port"; do port=$((port + 1)); done
  echo "$port"
}

# Starts the cluster in a folder, making it first if there is none. Sets DB_PORT and DB_PASSWORD.
# Arguments: the folder, further server options.
start_database() {
  local dir="$1" options="${2:-}" log="$1/log"
  mkdir -p "$dir"
  if [ "$(id -u)" -eq 0 ]; then chown postgres: "$dir"; fi
  chmod 700 "$dir"
  as_postgres test -w "$dir" ||
    fail "the user postgres cannot reach $dir; choose a folder outside private homes with --data."
  if [ ! -e "$dir/password" ]; then
    [ ! -e "$dir/cluster" ] || fail "$dir/password is missing. Put it back from a copy."
    local new
    new="$(od -An -N24 -tx1 /dev/urandom | tr -d ' \n')"
    as_postgres sh -c 'umask 077; printf %s "$1" > "$2"' _ "$new" "$dir/password"
    as_postgres "$PG/initdb" -D "$dir/cluster.part" -U thistle -E UTF8 --locale=C.UTF-8 \
      --auth-local=trust --auth-host=scram-sha-256 --pwfile="$dir/password" > "$dir.initdb" 2>&1 || {
      cat "$dir.initdb" >&2
      rm -rf "$dir/password" "$dir/cluster.part"
      fail "could not make a database in $dir."
    }
    rm -f "$dir.initdb"
    mv "$dir/cluster.part" "$dir/cluster"
  fi
  [ "$(cat "$dir/cluster/PG_VERSION" 2> /dev/null)" = 15 ] ||
    fail "$dir/cluster is not a whole PostgreSQL 15 database. Put it back from a copy, or move it
away (mv '$dir' '$dir.broken') to start with an empty shelf; your files in the store stay."
  DB_PASSWORD="$(cat "$dir/password")"
  if as_postgres "$PG/pg_ctl" -D "$dir/cluster" status > /dev/null 2>&1; then
    DB_PORT="$(sed -n 4p "$dir/cluster/postmaster.pid")"
  else
    DB_PORT="$(free_port 5787)"
    as_postgres "$PG/pg_ctl" -D "$dir/cluster" -l "$log" -w -t 60 start \
      -o "-p $DB_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='$dir' $options" \
      > /dev/null 2>&1 9>&- || {
      tail -n 5 "$log" >&2
      fail "the database in $dir does not start; the lines above say why ($log has more). Put the
folder back from a copy, or move it away (mv '$dir' '$dir.broken') to start with an empty shelf."
    }
  fi
  as_postgres "$PG/psql" -h "$dir" -p "$DB_PORT" -U thistle -d postgres -Atqc \
    "select 1 from pg_database where datname = 'thistle'" | grep -q 1 ||
    as_postgres "$PG/createdb" -h "$dir" -p "$DB_PORT" -U thistle thistle
}

stop_database() {
  as_postgres "$PG/pg_ctl" -D "$1/cluster" -m fast -w stop > /dev/null 2>&1 || true
}
