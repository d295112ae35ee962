# PHP-FPM and nginx. Sourced by common.sh.

FPM=/usr/sbin/php-fpm8.2
NGINX=/usr/sbin/nginx

# A Unix socket's path may hold 107 bytes at most.
fpm_socket() {
    local socket="$VAR/run/php.sock"
    [ ${#socket} -le 92 ] || socket="/tmp/skivo-$(printf %s "$VAR" | sha256sum | cut -c1-12).sock"
    echo "$socket"
}

# The ids of our own processes of nginx and PHP-FPM, whether their pid files are there or not; masters first.
server_processes() { php "$ROOT/deploy/processes.php" ours "$VAR/run" "$(fpm_socket)"; }

# Fails unless port $2 on address $1 is free, or ours already.
need_port() {
    port_is_free "$1" "$2" && return
    local holder
    holder="$(php "$ROOT/deploy/processes.php" holder "$2" "$VAR/run" "$(fpm_socket)")"
    [ "$holder" = ours ] || fail "port $2 on $1 is taken by ${holder:-another program}, or is not this machine's. Nothing was changed. Choose another, for instance: bin/skivo start --port $(($2 + 1))"
}

# Fills in @NAMES@ of template $1 from the variables of the same name, whatever characters they hold.
fill_template() {
    local text name
    text="$(cat "$1")"
    for name in ROOT VAR SOCKET HOST PORT NAMES USER_LINE; do
        text="${text//@$name@/"${!name}"}"
    done
    printf '%s\n' "$text"
}

# Keeps a server's own log from growing for ever: the last few of them, one a start.
rotate_log() {
    local each
    [ -s "$1" ] || return 0
    for each in 3 2 1; do
        [ ! -f "$1.$each" ] || mv "$1.$each" "$1.$((each + 1))"
    done
    mv "$1" "$1.1"
    rm -f "$1.4"
}

# Serves on address $1, port $2.
server_up() {
    local HOST="$1" PORT="$2" SOCKET NAMES USER_LINE="" root_flag=()
    SOCKET="$(fpm_socket)"
    # Names by which this machine is reached, beside its addresses; as a pattern of nginx.
    NAMES="$(printf '%s\n' localhost "$(hostname)" "$(hostname).local" $(setting SERVE_NAMES | tr , ' ') | tr A-Z a-z | grep -E '^[a-z0-9.-]+$' | sort -u | sed 's/\./\\./g' | paste -sd'|')"
    server_down
    port_is_free "$HOST" "$PORT" || need_port "$HOST" "$PORT"
    rotate_log "$VAR/run/php-fpm.log"
    rotate_log "$VAR/run/nginx/error.log"
    if is_root; then
        USER_LINE="user = $(web_user)
group = $(id -gn "$(web_user)")
listen.owner = $(web_user)"
        if [ "$(web_user)" = root ]; then
            root_flag=(-R)
            [ -n "${QUIET_ROOT:-}" ] || say "Note: this checkout is closed to other users, so the web server runs as root. Put it where www-data can read it to avoid that."
        fi
    fi
    fill_template "$ROOT/deploy/php-fpm.conf" >"$VAR/run/php-fpm.conf"
    ! is_root || USER_LINE="user $(web_user) $(id -gn "$(web_user)");"
    fill_template "$ROOT/deploy/nginx.conf" >"$VAR/run/nginx.conf"
    # Each from our own folder, by which it is known again.
    (cd "$VAR/run" && PHP_INI_SCAN_DIR=":$ROOT/deploy/php" exec "$FPM" "${root_flag[@]}" -y "$VAR/run/php-fpm.conf") >"$VAR/run/start.log" 2>&1 9>&- \
        || { tail -n 10 "$VAR/run/start.log" >&2; fail "PHP-FPM did not start. What it said is above."; }
    (cd "$VAR/run" && exec "$NGINX" -p "$VAR/run/nginx" -e "$VAR/run/nginx/error.log" -c "$VAR/run/nginx.conf") >"$VAR/run/start.log" 2>&1 9>&- \
        || { tail -n 10 "$VAR/run/start.log" >&2; server_down; fail "nginx did not start. What it said is above."; }
}

# Ends what is ours: first the masters, by asking, so that what is under way is finished; then whatever is left.
server_down() {
    local signal pids tries
    for signal in QUIT TERM KILL; do
        tries=50
        # A busy machine takes its time to bury them.
        [ "$signal" != KILL ] || tries=300
        while pids="$(server_processes)" && [ -n "$pids" ] && [ $tries -gt 0 ]; do
            [ $((tries % 10)) != 0 ] || kill "-$signal" $pids 2>/dev/null || true
            sleep 0.1
            tries=$((tries - 1))
        done
    done
    [ -z "$(server_processes)" ] || fail "the web server could not be stopped. Its processes are: $(server_processes | paste -sd' ')."
    rm -f "$VAR/run/nginx.pid" "$VAR/run/php-fpm.pid" "$(fpm_socket)" "$(fpm_socket).costly"
}

server_is_up() { [ -n "$(server_processes)" ]; }

# A whole environment that leaves nothing behind: database, migrated, and served on a free port.
# $1: the environment's name. Sets SITE to its address.
throwaway_up() {
    # Whatever a school keeps elsewhere is none of its business.
    unset DB_HOST
    take_lock
    server_down
    database_down 2>/dev/null || true
    rm -rf "$VAR/pg" "$VAR/cache" "$VAR/storage" "$VAR/.env" "$(cluster_dir)"
    trap throwaway_down EXIT
    prepare_var "$1"
    # Nothing of it outlives the run, so it need not be safe on disk.
    PG_OPTIONS="-c fsync=off -c synchronous_commit=off -c full_page_writes=off" database_up
    database_migrate skivo || { cat "$VAR/run/migrate.log" >&2; fail "the database could not be migrated."; }
    local port
    port="$(free_port)"
    QUIET_ROOT=1 server_up 127.0.0.1 "$port"
    SITE="http://127.0.0.1:$port"
    export SITE
}

throwaway_down() {
    local status=$?
    [ -z "${CHROMEDRIVER_PID:-}" ] || kill "$CHROMEDRIVER_PID" 2>/dev/null || true
    server_down
    database_down
    rm -rf "$(cluster_dir)"
    return $status
}

# Starts ChromeDriver on a free port; sets DRIVER to its address.
chromedriver_up() {
    local port tries=100
    port="$(free_port)"
    chromedriver --port="$port" --log-level=SEVERE >"$VAR/run/chromedriver.log" 2>&1 9>&- &
    CHROMEDRIVER_PID=$!
    until ! port_is_free 127.0.0.1 "$port"; do
        tries=$((tries - 1))
        [ $tries -gt 0 ] || fail "ChromeDriver did not start. See $VAR/run/chromedriver.log."
        sleep 0.1
    done
    export DRIVER="http://127.0.0.1:$port"
}

# The demo on a server of its own, and ChromeDriver to look at it.
demo_in_a_browser_up() {
    need_packages $RUN_PACKAGES $TEST_PACKAGES
    build dev
    throwaway_up production
    export DEMO_PASSWORD="looked-at"
    artisan skivo:demo >/dev/null
    artisan optimize >"$VAR/run/optimize.log" 2>&1
    chromedriver_up
}
