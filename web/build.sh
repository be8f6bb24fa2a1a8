#!/usr/bin/env bash
# Builds or checks the front end. Packages are installed only when the lock file or Node changed.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")"
export npm_config_update_notifier=false
key="$(sha256sum package-lock.json | cut -d' ' -f1) $(node --version)"
if [ "$(cat node_modules/.late-thistle-key 2>/dev/null || true)" != "$key" ]; then
  npm ci --prefer-offline --no-audit --no-fund --loglevel=error
  echo "$key" > node_modules/.late-thistle-key
fi
case "$1" in
  build) npm run --silent build ;;
  check) npm run --silent lint && npm run --silent test ;;
esac
