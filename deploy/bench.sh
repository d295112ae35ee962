# bin/skivo bench: how fast the pages answer, beside a static page from the same server; with --film, how fast a browser reads a film.
set -euo pipefail
export VAR="$ROOT/var/bench"
. "$ROOT/deploy/common.sh"

if [ "${1:-}" = --film ]; then
    demo_in_a_browser_up
    cd "$ROOT" && php tests/Browser/film-bench.php
    exit
fi

need_packages $RUN_PACKAGES
build dev
throwaway_up production
artisan optimize >"$VAR/run/optimize.log" 2>&1
# With the compiler settings that the web server has.
PHP_INI_SCAN_DIR=":$ROOT/deploy/php" SKIVO_VAR="$VAR" as_web_user php -d opcache.enable_cli=1 "$ROOT/artisan" skivo:bench "$SITE" "$@"
