#!/usr/bin/env bash
# Prints the path of a Chromium for the browser tests: the one named by CHROMIUM, else one found
# here, else Debian's package, installed where that is allowed, else a sentence what to install.
set -u
. "$(dirname "$0")/debian.sh"
found() {
  local name
  for name in chromium-headless-shell chromium chromium-browser google-chrome; do
    command -v "$name" && return 0
  done
  return 1
}
if [ -n "${CHROMIUM:-}" ]; then
  if [ -x "$CHROMIUM" ]; then
    echo "$CHROMIUM"
    exit 0
  fi
  echo "CHROMIUM names $CHROMIUM, which is no program that can be run." >&2
  exit 1
fi
found && exit 0
debian_installs "the browser tests" chromium-headless-shell && found && exit 0
echo "The browser tests need Chromium: install it (Debian: apt-get install chromium-headless-shell) or name one with CHROMIUM=…" >&2
exit 1
