#!/usr/bin/env bash
# Lint, licences, types, unit and state tests, build, end-to-end tests; closes on one line.
# What only reads, the build and the state tests run beside the unit tests: two cores, two lanes.
set -uo pipefail
cd "$(dirname "$0")/.."
mkdir -p .tmp
rm -f .tmp/unit.json .tmp/state.json .tmp/e2e.json
failed=0
step() {
  echo "== $1"
  shift
  local begun=$SECONDS
  "$@" || { failed=$((failed + 1)); echo "FAILED: $*" >&2; }
  echo "   ($((SECONDS - begun)) s)"
}
npx svelte-kit sync
reporter=(--reporter scripts/bothReporter.cjs --reporter-option)
(
  step "lint, layers, unused code" npm run --silent lint
  step "licences" npm run --silent licences
  step "types" npm run --silent types
  COMPRESS=no step "build" npm run --silent build
  step "state tests" npm run --silent state -- "${reporter[@]}" output=.tmp/state.json
  step "hostile inputs, a seeded part" npx tsx scripts/hostile.ts 120 7 60
  exit "$failed"
) >.tmp/lint.log 2>&1 &
lint=$!
step "unit and property tests" npm run --silent coverage:unit -- "${reporter[@]}" output=.tmp/unit.json
step "lines of the core that the unit tests run" node scripts/coverage.mjs
wait "$lint" || failed=$((failed + 1))
cat .tmp/lint.log
step "end-to-end tests" npx playwright test
node scripts/closing.mjs "$failed"
