# bin/skivo migrate: brings a database that somebody else keeps up to date, as its owner.
set -euo pipefail
. "$ROOT/deploy/common.sh"

owner=skivo
host=""
port=""
while [ $# -gt 0 ]; do
    case "$1" in
        --host) host="${2:-}"; shift 2 || fail "--host wants the name or address of the database's machine." ;;
        --port) port="${2:-}"; shift 2 || fail "--port wants a number, for instance --port 5432." ;;
        --owner) owner="${2:-}"; shift 2 || fail "--owner wants the role that owns the database." ;;
        *) fail "migrate does not know '$1'. See bin/skivo help." ;;
    esac
done
[ -n "${DB_OWNER_PASSWORD:-}" ] || fail "put the password of the role $owner into the environment, as DB_OWNER_PASSWORD."
database_is_elsewhere || [ -n "$host" ] || fail "this is for a database that is kept elsewhere: DB_HOST, or --host, says where. bin/skivo start brings its own up to date."
take_lock
need_packages $RUN_PACKAGES
build
prepare_var production
export DB_HOST="${host:-$(database_host)}" DB_USERNAME="$owner" DB_PASSWORD="$DB_OWNER_PASSWORD"
export DB_PORT="${port:-$(database_port)}"
database_up
name="$(database_name)"
! database_is_newer "$name" || fail "what is stored there was made by a newer Skivo than this one. Nothing was changed."
had="$(migrations_of "$name" | wc -l)"
database_migrate "$name" || { cat "$VAR/run/migrate.log" >&2; fail "the database could not be brought up to date. What went wrong is above."; }
say "The database at $DB_HOST is as this Skivo needs it: $(($(migrations_of "$name" | wc -l) - had)) steps taken."
