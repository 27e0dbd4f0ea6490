#!/usr/bin/env bash
# One command: installs, builds, serves on http://localhost:4180 and opens on the demo.
set -euo pipefail
cd "$(dirname "$0")/.."
bash scripts/ensure.sh --no-browser
if [ ! -f build/index.js ] || [ ! -f build/thread/workThread.js ] || [ -n "$(find src static package-lock.json svelte.config.js vite.config.ts -newer build/index.js -print -quit)" ]; then
  echo "Building …"
  npm run --silent build >/dev/null
fi
# A browser is opened where there is a desktop; else the address is enough.
(
  for _ in $(seq 50); do
    sleep 0.2
    if curl -fs "http://localhost:${PORT:-4180}/api/health" >/dev/null 2>&1; then break; fi
  done
  for open in xdg-open open; do
    if command -v "$open" >/dev/null 2>&1; then "$open" "http://localhost:${PORT:-4180}/" >/dev/null 2>&1; break; fi
  done
) &
exec node scripts/serve.mjs
