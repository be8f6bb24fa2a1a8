#!/usr/bin/env bash
# Unpacks the faces into a folder. Packages are installed only when the lock file or Node changed.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")"
into="$1"
export npm_config_update_notifier=false
key="$(cat package-lock.json families.csv unpack.mjs | sha256sum | cut -d' ' -f1) $(node --version)"
[ "$(cat "$into/.key" 2> /dev/null || true)" != "$key" ] || exit 0
npm ci --prefer-offline --no-audit --no-fund --loglevel=error
rm -rf "$into"
node unpack.mjs "$into"
echo "$key" > "$into/.key"
