# bin/skivo bench: how fast the pages answer, beside a static page from the same server.
set -euo pipefail
export VAR="$ROOT/var/bench"
. "$ROOT/deploy/common.sh"

need_packages $RUN_PACKAGES
build
throwaway_up production
artisan optimize >"$VAR/run/optimize.log" 2>&1
artisan skivo:bench "$SITE" "$@"
