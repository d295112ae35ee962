# bin/skivo screenshots: the pictures in docs/screenshots, from the demo data, by the real browser.
set -euo pipefail
export VAR="$ROOT/var/screenshots"
. "$ROOT/deploy/common.sh"

need_packages $RUN_PACKAGES $TEST_PACKAGES
build dev
throwaway_up production
export DEMO_PASSWORD="screenshots"
artisan skivo:demo >/dev/null
artisan optimize >"$VAR/run/optimize.log" 2>&1
chromedriver_up
cd "$ROOT" && php tests/Browser/screenshots.php "$@"
