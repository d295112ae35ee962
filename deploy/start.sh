# bin/skivo start: from a bare machine to a served Skivo. Safe to run again at any time.
set -euo pipefail
. "$ROOT/deploy/common.sh"

host=""
port=""
name=""
demo=yes
while [ $# -gt 0 ]; do
    case "$1" in
        --port) port="${2:-}"; shift 2 || fail "--port wants a number, for instance --port 8080." ;;
        --host) host="${2:-}"; shift 2 || fail "--host wants an address, for instance --host 0.0.0.0." ;;
        --tablets) host=0.0.0.0; shift ;;
        --name) name="${2:-}"; shift 2 || fail "--name wants the name that this machine has on the network, for instance --name skivo.school.example." ;;
        --empty) demo=no; shift ;;
        *) fail "start does not know '$1'. See bin/skivo help." ;;
    esac
done
[[ -z "$port" || "$port" =~ ^[0-9]+$ && "$port" -ge 1 && "$port" -le 65535 ]] || fail "'$port' is not a port. A port is a whole number from 1 to 65535."
[[ -z "$host" || "$host" =~ ^[0-9.]+$ ]] || fail "'$host' is not an IPv4 address. Use 127.0.0.1 for this machine alone, 0.0.0.0 for every network it is on."
[[ -z "$name" || "$name" =~ ^[A-Za-z0-9.-]+$ ]] || fail "'$name' is not the name of a machine, such as skivo.school.example."

take_lock
need_packages $RUN_PACKAGES
build
prepare_var production
# Whoever let tablets in once lets them in until they say otherwise.
host="${host:-$([ "$(setting SERVE_TABLETS)" = yes ] && echo 0.0.0.0 || echo 127.0.0.1)}"
port="${port:-$(setting SERVE_PORT)}"
port="${port:-8484}"
need_port "$host" "$port"
# The database does not take it.
SITE_PORT="$port"

database_up
# What was put together from older settings.
rm -f "$VAR"/cache/*.php
stored="$(database_name)"
if database_is_newer "$stored"; then
    fail "what is stored here was made by a newer Skivo than this one. Start the newer one again, or restore a backup that this one made. Nothing was changed."
fi
if database_is_elsewhere; then
    ! database_is_older "$stored" || fail "the database at $(database_host) is not yet as this Skivo needs it. Once, for all servers: bin/skivo migrate. Nothing was changed."
else
    if database_is_older skivo; then
        if [ -n "$(migrations_of skivo)" ]; then
            kept="$(database_keep_copy upgrade)" || fail "a copy of what is stored could not be kept before the upgrade. Is there room for it? Nothing was changed."
            say "Before the upgrade, a copy of everything was kept in $kept"
        fi
        say "Updating the database"
    fi
    database_migrate skivo || { cat "$VAR/run/migrate.log" >&2; fail "the database could not be brought up to date. What went wrong is above.${kept:+ What was there before is in $kept.}"; }
fi
if [ "$demo" = yes ]; then
    [ -n "$(setting DEMO_PASSWORD)" ] || set_setting DEMO_PASSWORD "slipway-$(random_word | cut -c1-8)"
    DEMO_PASSWORD="$(setting DEMO_PASSWORD)" artisan_or_fail "the demo data could not be stored." demo skivo:demo
fi
set_setting SERVED_SINCE "$(date +%s)"
set_setting SERVE_HOST "$host"
set_setting SERVE_TABLETS "$([ "$host" = 0.0.0.0 ] && echo yes || echo no)"
set_setting SERVE_PORT "$port"
[ -z "$name" ] || set_setting SERVE_NAMES "$name"
artisan_or_fail "what is past its time could not be removed." housekeep skivo:prune
artisan_or_fail "the application could not be prepared." optimize optimize
server_up "$host" "$port"

shown="$host"
if [ "$host" = 0.0.0.0 ]; then
    # The address that a tablet on the same network would type.
    shown="$(php -r 'foreach (net_get_interfaces() as $i) foreach ($i["unicast"] ?? [] as $u) if (($u["family"] ?? 0) === AF_INET && !str_starts_with($u["address"], "127.")) { echo $u["address"]; exit; }')"
fi
say ""
say "Skivo is at http://${shown:-127.0.0.1}:$port"
if [ "$host" != 127.0.0.1 ]; then
    say "Tablets on the same network open http://${shown:-127.0.0.1}:$port/join"
    say ""
    say "Careful: anyone on the same network can now open this page and try to sign in, and what"
    say "is typed travels unencrypted. Use it on a network you trust; bin/skivo stop closes it."
    say "It stays so at the next start. For this machine alone: bin/skivo start --host 127.0.0.1"
fi
if [ "$demo" = yes ]; then
    say ""
    say "Look around as the demo educator:"
    say "  email     demo@skivo.example"
    say "  password  $(setting DEMO_PASSWORD)"
elif [ -n "$(setting DEMO_PASSWORD)" ]; then
    say "(The demo data of an earlier start is still there.)"
else
    say "No demo data: create your own account on the first page."
fi
say ""
say "Stop it with: bin/skivo stop"
