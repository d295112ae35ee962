# bin/skivo delete challenge NUMBER, or delete account EMAIL: for good, with all that hangs on it.
set -euo pipefail
. "$ROOT/deploy/common.sh"

[ -n "$(setting APP_KEY)" ] || fail "there is nothing to delete: Skivo has not been started here yet."
take_lock
was_running=yes
database_is_running || was_running=no
database_up
status=0
artisan skivo:delete "$@" || status=$?
[ "$was_running" = yes ] || database_down
exit $status
