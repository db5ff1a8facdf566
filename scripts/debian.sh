# Debian's packages, for scripts that need a program; to be sourced.

# debian_installs WHY PACKAGE...: installs them where that is allowed; false where it is not.
debian_installs() {
  local why="$1" as_root=""
  shift
  command -v apt-get >/dev/null 2>&1 || return 1
  if [ "$(id -u)" -ne 0 ]; then
    as_root="sudo -n"
    sudo -n true 2>/dev/null || return 1
  fi
  echo "Installing Debian's $* for $why." >&2
  { $as_root apt-get update && $as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$@"; } >&2
}
