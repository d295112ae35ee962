# bin/skivo delete, password, administrator, archive, bring: what an artisan command does to what is stored. $1 is which.
set -euo pipefail
. "$ROOT/deploy/common.sh"

command="$1"
shift
[ -n "$(setting APP_KEY)" ] || fail "there is nothing stored: Skivo has not been started here yet."
# Files are meant from where one stands, not from where Skivo lies.
args=()
position=0
for argument in "$@"; do
    case "$argument" in -*) ;; *) position=$((position + 1)) ;; esac
    if { [ "$command" = archive ] && [ "$position" = 2 ]; } || { [ "$command" = bring ] && [ "$position" = 1 ]; }; then
        case "$argument" in -*) ;; *) argument="$(realpath -m -- "$argument")" ;; esac
    fi
    args+=("$argument")
done
take_lock
was_running=yes
database_is_running || was_running=no
database_up
status=0
if [ "$command" = archive ]; then
    # Written where the web user may, and then put where it was asked for.
    [ "$position" = 2 ] || fail "archive wants the number in the challenge's address, and a file: bin/skivo archive 3 class.zip"
    [ ! -e "${args[1]}" ] || fail "${args[1]} is there already. Choose another name; nothing was written."
    mkdir -p "$VAR/run"
    part="$VAR/storage/archive-$$.zip"
    artisan skivo:archive "${args[0]}" "$part" || status=$?
    [ "$status" != 0 ] || mv "$part" "${args[1]}" || status=$?
    rm -f "$part"
elif [ "$command" = bring ]; then
    [ "$position" = 2 ] || fail "bring wants a file, and the email of the account: bin/skivo bring class.zip teacher@school.example"
    [ -f "${args[0]}" ] || fail "there is no file ${args[0]}."
    part="$VAR/storage/archive-$$.zip"
    install -m 644 "${args[0]}" "$part"
    artisan skivo:bring "$part" "${args[1]}" || status=$?
    rm -f "$part"
else
    artisan "skivo:$command" "${args[@]}" || status=$?
fi
[ "$was_running" = yes ] || database_down
exit $status
