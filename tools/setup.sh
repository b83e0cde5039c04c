#!/usr/bin/env bash
# Brings a fresh Debian 12 machine to where Nomos runs: the system libraries Qt
# loads, then .venv with the pinned packages. Quiet and quick when all is there.
set -euo pipefail
cd "$(dirname "$0")/.."

say() { printf 'setup: %s\n' "$*"; }

PYTHON=${PYTHON:-python3.11}
command -v "$PYTHON" >/dev/null || { say "$PYTHON is not on the path; install Python 3.11 and run this again."; exit 1; }

# What Qt loads at run time (headless and with a display), a virtual screen for
# `make demo` without a display, and the tool the PDF tests rasterise with.
libraries=(libglib2.0-0 libgl1 libegl1 libxkbcommon0 libfontconfig1 libdbus-1-3
  libxcb-cursor0 libxcb-icccm4 libxcb-keysyms1 libxcb-shape0 libxkbcommon-x11-0
  xvfb xauth poppler-utils)
"$PYTHON" -c 'import ensurepip' 2>/dev/null || libraries+=(python3.11-venv)

if command -v dpkg-query >/dev/null; then
  missing=()
  installed=" $(dpkg-query -W -f '${db:Status-Abbrev}${Package} ' "${libraries[@]}" 2>/dev/null || true)"
  for name in "${libraries[@]}"; do
    [[ $installed == *" ii $name "* || $installed == *"ii $name "* ]] || missing+=("$name")
  done
  if ((${#missing[@]})); then
    if [[ $(id -u) == 0 ]]; then root=()
    elif sudo -n true 2>/dev/null; then root=(sudo)
    else say "missing system packages; install them and run this again: apt-get install ${missing[*]}"; exit 1; fi
    say "installing system packages: ${missing[*]}"
    log=$(mktemp)
    { "${root[@]}" apt-get update && "${root[@]}" env DEBIAN_FRONTEND=noninteractive \
        apt-get install -y --no-install-recommends "${missing[@]}"; } >"$log" 2>&1 ||
      { tail -n 15 "$log"; say "apt-get could not install: ${missing[*]}"; exit 1; }
    rm -f "$log"
  fi
else
  say "this is not a Debian system: if the window does not open, install what provides ${libraries[*]}"
fi

# The stamp names everything the environment was made from, so that a second
# run has one checksum to compare and nothing to do.
stamp=$({ "$PYTHON" --version; pwd; cat requirements.lock pyproject.toml; } | sha256sum)
if [[ ! -f .venv/stamp || $(<.venv/stamp) != "$stamp" ]]; then
  say "making .venv with the pinned packages (a few minutes the first time)"
  # All packages are here before anything that works is taken away: without a network the old one stays.
  wheels=$(mktemp -d)
  # The environment that is there stays beside until the new one is whole; whatever happens, it comes back.
  back() {
    if [[ -d .venv.before ]]; then rm -rf .venv; mv .venv.before .venv; fi
    rm -rf "$wheels"
  }
  trap back EXIT
  if [[ -d .venv.before ]]; then rm -rf .venv; mv .venv.before .venv; fi  # an earlier run was killed
  "$PYTHON" -m venv "$wheels/venv"
  "$wheels/venv/bin/pip" download --quiet --disable-pip-version-check --require-hashes -r requirements.lock \
    -d "$wheels/all" >"$wheels/log" 2>&1 || {
    grep -v '^WARNING' "$wheels/log" | tail -n 3
    say "the packages cannot be had; is there a network? ${PWD}/.venv is as it was."; exit 1; }
  if [[ -d .venv ]]; then mv .venv .venv.before; fi
  "$PYTHON" -m venv .venv
  pip=(.venv/bin/pip install --quiet --disable-pip-version-check --no-index)
  "${pip[@]}" --find-links "$wheels/all" --require-hashes -r requirements.lock
  "${pip[@]}" --no-deps --no-build-isolation -e .
  # Compiled once here, so that the first start is as quick as the next.
  .venv/bin/python -m compileall -q src/nomos
  printf '%s' "$stamp" >.venv/stamp
  rm -rf .venv.before
fi
