#!/bin/sh
# Installs from Debian what tests drive, where it is missing: Chromium for the pages, Redis for the farm.
set -e
wanted=''
[ -n "$CHROMIUM" ] || command -v chromium >/dev/null 2>&1 || wanted="$wanted chromium"
command -v redis-server >/dev/null 2>&1 || wanted="$wanted redis-server"
[ -n "$wanted" ] || exit 0
echo "Installing$wanted …"
as_root=''
[ "$(id -u)" = 0 ] || as_root='sudo'
$as_root apt-get update -qq
DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq --no-install-recommends $wanted >/dev/null
