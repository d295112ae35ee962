# bin/skivo start: from a bare machine to a served Skivo. Safe to run again at any time.
set -euo pipefail
. "$ROOT/deploy/common.sh"

host=127.0.0.1
port=""
demo=yes
while [ $# -gt 0 ]; do
    case "$1" in
        --port) port="${2:-}"; shift 2 || fail "--port wants a number, for instance --port 8080." ;;
        --host) host="${2:-}"; shift 2 || fail "--host wants an address, for instance --host 0.0.0.0." ;;
        --empty) demo=no; shift ;;
        *) fail "start does not know '$1'. See bin/skivo help." ;;
    esac
done
[[ -z "$port" || "$port" =~ ^[0-9]+$ && "$port" -ge 1 && "$port" -le 65535 ]] || fail "'$port' is not a port. A port is a whole number from 1 to 65535."
[[ "$host" =~ ^[0-9.]+$ ]] || fail "'$host' is not an IPv4 address. Use 127.0.0.1 for this machine alone, 0.0.0.0 for every network it is on."

mkdir -p "$VAR/run"
exec 9>"$VAR/run/lock"
flock -n 9 || fail "another start is under way. Wait for it to finish."

need_packages $RUN_PACKAGES
build
prepare_var production
port="${port:-$(setting SERVE_PORT)}"
port="${port:-8484}"
# The server must not inherit the lock, or it would hold it for as long as it runs.
database_up 9>&-
say "Updating the database"
artisan migrate --force >"$VAR/run/migrate.log" 2>&1 || { cat "$VAR/run/migrate.log" >&2; fail "the database could not be brought up to date. What went wrong is above."; }
if [ "$demo" = yes ]; then
    [ -n "$(setting DEMO_PASSWORD)" ] || set_setting DEMO_PASSWORD "slipway-$(random_word | cut -c1-8)"
    DEMO_PASSWORD="$(setting DEMO_PASSWORD)" artisan skivo:demo >"$VAR/run/demo.log" 2>&1 || { cat "$VAR/run/demo.log" >&2; fail "the demo data could not be stored. What went wrong is above."; }
fi
# What was worked out before may be of other code.
artisan cache:clear >"$VAR/run/cache.log" 2>&1 || { cat "$VAR/run/cache.log" >&2; fail "the cache could not be cleared. What went wrong is above."; }
artisan optimize >"$VAR/run/optimize.log" 2>&1 || { cat "$VAR/run/optimize.log" >&2; fail "the application could not be prepared. What went wrong is above."; }
server_up "$host" "$port" 9>&-
set_setting SERVE_PORT "$port"

shown="$host"
if [ "$host" = 0.0.0.0 ]; then
    # The address that a tablet on the same network would type.
    shown="$(php -r 'foreach (net_get_interfaces() as $i) foreach ($i["unicast"] ?? [] as $u) if (($u["family"] ?? 0) === AF_INET && !str_starts_with($u["address"], "127.")) { echo $u["address"]; exit; }')"
fi
say ""
say "Skivo is at http://${shown:-127.0.0.1}:$port"
if [ "$host" != 127.0.0.1 ]; then
    say ""
    say "Careful: anyone on the same network can now open this page and try to sign in, and what"
    say "is typed travels unencrypted. Use it on a network you trust; bin/skivo stop closes it."
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
