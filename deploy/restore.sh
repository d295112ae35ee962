# bin/skivo restore FILE: verifies a backup, says what it would replace, and replaces it.
set -euo pipefail
. "$ROOT/deploy/common.sh"

file=""
sure=no
rehearse=no
while [ $# -gt 0 ]; do
    case "$1" in
        --yes) sure=yes; shift ;;
        --rehearse) rehearse=yes; shift ;;
        -*) fail "restore does not know '$1'. See bin/skivo help." ;;
        *) [ -z "$file" ] || fail "restore takes one file."; file="$1"; shift ;;
    esac
done
[ -n "$file" ] || fail "restore wants the backup to restore, for instance: bin/skivo restore skivo-2026-05-08.dump"
[ -f "$file" ] || fail "there is no file $file."
! database_is_elsewhere || fail "the database is kept elsewhere (DB_HOST): restore it there, as docs/scaling.md has it. Nothing was changed."
[ -x "$PG_BIN/pg_restore" ] && [ -f "$ROOT/vendor/autoload.php" ] || fail "run bin/skivo start once first; it installs what this needs."
"$PG_BIN/pg_restore" --list "$file" >/dev/null 2>&1 || fail "$file is no backup of Skivo, or is not whole. Nothing was changed."

take_lock
prepare_var "$(setting APP_ENV | grep . || echo production)"
server_is_up && was_up=yes || was_up=no
serve_again() { [ "$was_up" = no ] || server_up "$(setting SERVE_HOST | grep . || echo 127.0.0.1)" "$(setting SERVE_PORT)"; }
# However it ends before the swap, what was there is served as it was.
give_up() {
    local status=$?
    trap - EXIT
    database_drop skivo_restoring >/dev/null 2>&1 || true
    server_is_up || serve_again
    exit $status
}
SKIVO_MAY_BE_GONE=yes database_up
trap give_up EXIT

# Into a database of its own first, and brought up to date there: only one that is whole takes the old one's place.
database_drop skivo_restoring
database_sql postgres "CREATE DATABASE skivo_restoring" >/dev/null
database_load "$file" skivo_restoring >"$VAR/run/restore.log" 2>&1 || { tail -n 5 "$VAR/run/restore.log" >&2; fail "$file is not whole. Nothing was changed."; }
new="$(database_holds skivo_restoring)" || fail "$file is no backup of Skivo. Nothing was changed."
! database_is_newer skivo_restoring || fail "$file was made by a newer Skivo than this one. Restore it with that one. Nothing was changed."
database_migrate skivo_restoring || { cat "$VAR/run/migrate.log" >&2; fail "$file could not be brought up to date. What went wrong is above. Nothing was changed."; }
old="$(database_holds skivo 2>/dev/null || echo nothing)"
say "The backup holds  $new."
if [ "$rehearse" = yes ]; then
    say "It is whole, and could be brought up to date. What is there was not touched: $old."
    exit 0
fi
say "It would replace  $old."
if [ "$sure" = no ]; then
    [ -t 0 ] || fail "say --yes to replace what is there. Nothing was changed."
    read -r -p "Type replace to go on: " answer
    [ "$answer" = replace ] || fail "nothing was changed."
fi

# From here nobody can log anything that the copy kept aside would not have.
server_down
if [ "$old" != nothing ]; then
    kept="$(database_keep_copy restore)" || fail "what is there could not be kept aside first. Nothing was changed."
    say "What was there is kept in $kept."
fi
database_sql postgres "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname IN ('skivo', 'skivo_restoring', 'skivo_replaced') AND pid <> pg_backend_pid()" >/dev/null
if database_exists skivo; then
    database_drop skivo_replaced
    database_sql postgres "ALTER DATABASE skivo RENAME TO skivo_replaced; ALTER DATABASE skivo_restoring RENAME TO skivo" >/dev/null
else
    database_sql postgres "ALTER DATABASE skivo_restoring RENAME TO skivo" >/dev/null
fi
trap - EXIT
# What was worked out before is of other data.
artisan_or_fail "the cache could not be cleared." cache cache:clear
serve_again
database_drop skivo_replaced
say "Restored: $(database_holds skivo)."
