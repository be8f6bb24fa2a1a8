#!/usr/bin/env bash
# Copies a running installation, and brings a copy back. Called by ./thistle backup and restore.
set -euo pipefail
home="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
. "$home/scripts/ground.sh"

usage() {
  cat >&2 << 'TEXT'
usage: ./thistle backup DIR [--data DATA]    copies database and media of DATA to DIR, while it runs
       ./thistle restore DIR [--data DATA]   brings a copy back into DATA, which has to be empty
  --data DATA  what ./start was given; /var/lib/late-thistle for root, else
               ~/.local/share/late-thistle
TEXT
  exit 2
}

act="$1"
shift
copy=
if [ "$(id -u)" -eq 0 ]; then
  data=/var/lib/late-thistle
else
  data="${XDG_DATA_HOME:-$HOME/.local/share}/late-thistle"
fi
while [ $# -gt 0 ]; do
  case "$1" in
    --data) [ $# -ge 2 ] || usage; data="$2"; shift 2 ;;
    -*) usage ;;
    *) [ -z "$copy" ] || usage; copy="$1"; shift ;;
  esac
done
[ -n "$copy" ] || usage

own_database=false
finish() { ! "$own_database" || stop_database "$data/database"; }
trap finish EXIT
trap 'exit 130' INT
trap 'exit 143' TERM

# Starts the database of DATA unless it runs; then it is left running.
use_database() {
  as_postgres "$PG/pg_ctl" -D "$data/database/cluster" status > /dev/null 2>&1 || own_database=true
  start_database "$data/database"
}

in_database() {
  local program="$1"
  shift
  as_postgres "$PG/$program" -h "$data/database" -p "$DB_PORT" -U thistle -d thistle "$@"
}

# Media are named by their bytes and never change, so what is there already is not copied again.
# Segments of previews are left out: they are made again when they are looked at.
copy_files() {
  local from="$1" to="$2" path
  mkdir -p "$to"
  (cd "$from" && find . -type f ! -name '*.part' ! -path './incoming/*' \
    ! -path './derived/segments/*' -print0) |
    while IFS= read -r -d '' path; do
      [ ! -e "$to/$path" ] || continue
      mkdir -p "$to/$(dirname "$path")"
      # What is cleared just now is not missed: the database does not speak of it any more.
      cp -p "$from/$path" "$to/$path.part" 2> /dev/null || { rm -f "$to/$path.part"; continue; }
      mv "$to/$path.part" "$to/$path"
    done
}

need "${DATABASE[@]}"
case "$act" in
  backup)
    [ -d "$data/store" ] && [ -d "$data/database/cluster" ] ||
      fail "there is nothing to copy in $data; name what ./start uses with --data."
    mkdir -p "$copy" 2> /dev/null && [ -w "$copy" ] || fail "cannot write to $copy."
    data="$(cd "$data" && pwd)"
    copy="$(cd "$copy" && pwd)"
    use_database
    # First what is said of files, then the files: none that is spoken of can be missing.
    (umask 077 && in_database pg_dump --format=custom > "$copy/database.part") ||
      fail "the database could not be copied; the lines above say why."
    copy_files "$data/store" "$copy/store"
    missing="$(in_database psql -Atc 'select hash from medium' | while read -r hash; do
      [ -e "$copy/store/originals/${hash:0:2}/$hash" ] || echo "$hash"
    done)"
    [ -z "$missing" ] || fail "these files are gone from the store: $missing"
    mv "$copy/database.part" "$copy/database"
    say "$copy: $(du -sh "$copy" | cut -f1)"
    ;;
  restore)
    [ -r "$copy/database" ] && [ -d "$copy/store" ] ||
      fail "$copy is no whole copy: ./thistle backup leaves 'database' and 'store' in it."
    [ -z "$(ls -A "$data" 2> /dev/null)" ] ||
      fail "$data is not empty; name an empty folder with --data, so that nothing is lost."
    mkdir -p "$data" 2> /dev/null && [ -w "$data" ] || fail "cannot write to $data."
    chmod 755 "$data"
    data="$(cd "$data" && pwd)"
    use_database
    in_database pg_restore --exit-on-error --no-owner < "$copy/database" ||
      fail "the copy's database could not be read; the lines above say why."
    copy_files "$copy/store" "$data/store"
    say "$data is as it was copied; ./start --data '$data' goes on with it."
    ;;
esac
