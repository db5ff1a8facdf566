#!/usr/bin/env bash
# Says in one sentence what is missing if the Python given cannot run Metrion.
set -u
if ! command -v "$1" >/dev/null 2>&1; then
  echo "Metrion needs Python 3.11 or newer, and there is no $1 here: install it (Debian: python3 python3-venv)." >&2
  exit 1
fi
if ! "$1" -c 'import sys; sys.exit(sys.version_info < (3, 11))'; then
  echo "Metrion needs Python 3.11 or newer, and $1 is $("$1" --version 2>&1): name another one with PYTHON=…" >&2
  exit 1
fi
if ! "$1" -c 'import venv, ensurepip' 2>/dev/null; then
  echo "Metrion needs Python's venv module, which this $1 lacks: install it (Debian: python3-venv)." >&2
  exit 1
fi
