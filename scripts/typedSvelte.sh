#!/usr/bin/env bash
# The typed rules on Svelte files: svelte-check --tsgo leaves each as TypeScript in .svelte-kit, its script
# as it stands, and oxlint looks at those. ESLint would work out all types anew for each file.
set -euo pipefail
cd "$(dirname "$0")/.."
find .svelte-kit/.svelte-check/svelte -name '++*.svelte.ts' -print0 |
  xargs -0 npx oxlint --config scripts/typedSvelte.jsonc --no-ignore --type-aware
