#!/usr/bin/env bash
# Installs what is missing and nothing else: packages, and a Chromium where Debian's apt is at hand.
set -euo pipefail
cd "$(dirname "$0")/.."
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.package-lock.json ]; then
  echo "Installing packages …"
  npm ci --no-audit --no-fund --loglevel=error
  touch node_modules/.package-lock.json
fi
if [ "${1:-}" != "--no-browser" ] && ! command -v chromium-headless-shell >/dev/null 2>&1; then
  if [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null 2>&1; then
    echo "Installing Chromium for the end-to-end tests …"
    apt-get update -qq
    apt-get install -y -qq chromium-headless-shell >/dev/null
  else
    echo "The end-to-end tests want /usr/bin/chromium-headless-shell: install your system's package of that name." >&2
    exit 1
  fi
fi
