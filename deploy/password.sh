# bin/skivo password EMAIL: a new password for an account, printed once.
set -euo pipefail
. "$ROOT/deploy/common.sh"

[ -n "$(setting APP_KEY)" ] || fail "there are no accounts: Skivo has not been started here yet."
take_lock
was_running=yes
database_is_running || was_running=no
database_up
status=0
artisan skivo:password "$@" || status=$?
[ "$was_running" = yes ] || database_down
exit $status
