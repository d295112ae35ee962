# bin/skivo restore FILE: verifies a backup, says what it would replace, and replaces it.
set -euo pipefail
. "$ROOT/deploy/common.sh"

file=""
sure=no
while [ $# -gt 0 ]; do
    case "$1" in
        --yes) sure=yes; shift ;;
        -*) fail "restore does not know '$1'. See bin/skivo help." ;;
        *) [ -z "$file" ] || fail "restore takes one file."; file="$1"; shift ;;
    esac
done
[ -n "$file" ] || fail "restore wants the backup to restore, for instance: bin/skivo restore skivo-2026-05-08.dump"
[ -f "$file" ] || fail "there is no file $file."
[ -x "$PG_BIN/pg_restore" ] || fail "run bin/skivo start once first; it installs what this needs."
"$PG_BIN/pg_restore" --list "$file" >/dev/null 2>&1 || fail "$file is no backup of Skivo, or is not whole. Nothing was changed."

prepare_var "$(setting APP_ENV | grep . || echo production)"
database_up
# Into a database of its own first: only one that is whole takes the old one's place.
database_sql postgres "DROP DATABASE IF EXISTS skivo_restoring" >/dev/null
database_sql postgres "CREATE DATABASE skivo_restoring" >/dev/null
forget() { database_sql postgres "DROP DATABASE IF EXISTS skivo_restoring" >/dev/null 2>&1 || true; }
PGPASSWORD="$(setting DB_PASSWORD)" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$(setting DB_PORT)" -U skivo --no-owner --exit-on-error -d skivo_restoring "$file" >"$VAR/run/restore.log" 2>&1 \
    || { forget; tail -n 5 "$VAR/run/restore.log" >&2; fail "$file is not whole. Nothing was changed."; }
new="$(database_holds skivo_restoring)" || { forget; fail "$file is no backup of Skivo. Nothing was changed."; }
old="$(database_holds skivo 2>/dev/null || echo nothing)"
say "The backup holds  $new."
say "It would replace  $old."
if [ "$sure" = no ]; then
    [ -t 0 ] || { forget; fail "say --yes to replace what is there. Nothing was changed."; }
    read -r -p "Type replace to go on: " answer
    [ "$answer" = replace ] || { forget; fail "nothing was changed."; }
fi
if [ "$old" != nothing ]; then
    mkdir -p "$VAR/backups"
    kept="$VAR/backups/before-restore-$(date +%Y%m%d-%H%M%S).dump"
    database_dump "$kept" || { rm -f "$kept"; forget; fail "what is there could not be kept aside first. Nothing was changed."; }
    say "What was there is kept in $kept."
fi
port=""
if pid_runs "$VAR/run/nginx.pid"; then
    port="$(setting SERVE_PORT)"
    host="$(sed -n 's/^ *listen \([0-9.]*\):.*/\1/p' "$VAR/run/nginx.conf")"
    server_down
fi
database_sql postgres "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname IN ('skivo', 'skivo_restoring')" >/dev/null
database_sql postgres "DROP DATABASE IF EXISTS skivo_replaced" >/dev/null
[ "$old" = nothing ] || database_sql postgres "ALTER DATABASE skivo RENAME TO skivo_replaced" >/dev/null
database_sql postgres "ALTER DATABASE skivo_restoring RENAME TO skivo" >/dev/null
artisan migrate --force >"$VAR/run/migrate.log" 2>&1 || { cat "$VAR/run/migrate.log" >&2; fail "the restored data could not be brought up to date. What was there before is kept aside."; }
# What was worked out before is of other data.
artisan cache:clear >"$VAR/run/cache.log" 2>&1 || { cat "$VAR/run/cache.log" >&2; fail "the cache could not be cleared. What went wrong is above."; }
database_sql postgres "DROP DATABASE IF EXISTS skivo_replaced" >/dev/null
[ -z "$port" ] || server_up "$host" "$port"
say "Restored: $(database_holds skivo)."
