#!/usr/bin/env bash
# Lint, licences, types, unit and property tests, build, end-to-end tests; closes on one line.
set -uo pipefail
cd "$(dirname "$0")/.."
mkdir -p .tmp
failed=0
step() {
  echo "== $1"
  shift
  "$@" || { failed=$((failed + 1)); echo "FAILED: $*" >&2; }
}
step "lint" npm run --silent lint
step "licences" npm run --silent licences
step "types" npm run --silent types
step "unit and property tests" npm run --silent unit -- --reporter-option output=.tmp/unit.json --reporter scripts/bothReporter.cjs
step "build" npm run --silent build
step "end-to-end tests" npx playwright test
node scripts/closing.mjs "$failed"
