#!/usr/bin/env bash
# Says in one sentence what is missing if there is no Node.js that can build the front end.
set -u
if ! command -v node >/dev/null 2>&1 || ! command -v npm >/dev/null 2>&1; then
  echo "Metrion needs Node.js 20.19 or newer with npm to build its pages, and there is none here: install it." >&2
  exit 1
fi
if ! node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)'; then
  echo "Metrion needs Node.js 20.19 or newer to build its pages, and this is $(node --version): install a newer one." >&2
  exit 1
fi
