#!/usr/bin/env bash
# Prints the path of a Chromium for the browser tests: the one named by CHROMIUM, else one found
# here, else Debian's package, installed where that is allowed, else a sentence what to install.
set -u
found() {
  local name
  for name in chromium chromium-browser google-chrome; do
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
if command -v apt-get >/dev/null 2>&1; then
  as_root=""
  [ "$(id -u)" -eq 0 ] || as_root="sudo -n"
  if [ -z "$as_root" ] || sudo -n true 2>/dev/null; then
    echo "Installing Debian's chromium for the browser tests." >&2
    { $as_root apt-get update && $as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends chromium; } >&2
    found && exit 0
  fi
fi
echo "The browser tests need Chromium: install it (Debian: apt-get install chromium) or name one with CHROMIUM=…" >&2
exit 1
