#!/bin/sh
# Installs Debian's Chromium where it is missing: the page tests drive it.
set -e
command -v chromium >/dev/null 2>&1 && exit 0
[ -n "$CHROMIUM" ] && exit 0
echo 'Installing Chromium …'
as_root=''
[ "$(id -u)" = 0 ] || as_root='sudo'
$as_root apt-get update -qq
DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq --no-install-recommends chromium >/dev/null
