# bin/skivo stop: stops the web server and the database that start started, whatever became of their pid files.
set -euo pipefail
. "$ROOT/deploy/common.sh"

[ -d "$VAR/run" ] || { say "Nothing to stop: Skivo has not been started here."; exit 0; }
take_lock
server_down
database_down
say "Stopped. Everything recorded is kept under var/."
