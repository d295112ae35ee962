# bin/skivo screenshots: the pictures in docs/screenshots, from the demo data, by the real browser.
set -euo pipefail
export VAR="$ROOT/var/screenshots"
. "$ROOT/deploy/common.sh"

demo_in_a_browser_up
cd "$ROOT" && php tests/Browser/screenshots.php "$@"
