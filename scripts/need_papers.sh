#!/usr/bin/env bash
# Sees that there are a LaTeX and a spreadsheet for the long checks: Debian's packages, installed
# where that is allowed, else a sentence what to install.
set -u
. "$(dirname "$0")/debian.sh"
packages="lmodern texlive-latex-recommended texlive-plain-generic texlive-science gnumeric"
there() {
  command -v pdflatex >/dev/null && command -v ssconvert >/dev/null && kpsewhich siunitx.sty lmodern.sty ulem.sty >/dev/null
}
there && exit 0
debian_installs "the long checks" $packages && there && exit 0
echo "The long checks need LaTeX and a spreadsheet: install them (Debian: apt-get install $packages)." >&2
exit 1
