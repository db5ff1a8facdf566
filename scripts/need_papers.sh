#!/usr/bin/env bash
# Sees that there are a LaTeX and a spreadsheet for the long checks: Debian's packages, installed
# where that is allowed, else a sentence what to install.
set -u
packages="lmodern texlive-latex-recommended texlive-plain-generic texlive-science gnumeric"
there() {
  command -v pdflatex >/dev/null && command -v ssconvert >/dev/null && kpsewhich siunitx.sty lmodern.sty ulem.sty >/dev/null
}
there && exit 0
if command -v apt-get >/dev/null 2>&1; then
  as_root=""
  [ "$(id -u)" -eq 0 ] || as_root="sudo -n"
  if [ -z "$as_root" ] || sudo -n true 2>/dev/null; then
    echo "Installing Debian's LaTeX and gnumeric for the long checks." >&2
    { $as_root apt-get update && $as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends $packages; } >&2
    there && exit 0
  fi
fi
echo "The long checks need LaTeX and a spreadsheet: install them (Debian: apt-get install $packages)." >&2
exit 1
