# Who runs what, the folder under $VAR, and the settings kept there. Sourced by common.sh.

is_root() { [ "$(id -u)" = 0 ]; }

# PostgreSQL refuses to run as root, so there it runs as its own user.
as_database_user() {
    if is_root; then
        # From a folder that it may enter.
        (cd / && setpriv --reuid=postgres --regid=postgres --init-groups env HOME=/tmp "$@")
    else
        "$@"
    fi
}

# The web user: www-data when we are root and it can read the checkout; else whoever we are.
web_user() {
    if is_root && setpriv --reuid=www-data --regid=www-data --init-groups test -r "$ROOT/public/index.php" 2>/dev/null \
        && setpriv --reuid=www-data --regid=www-data --init-groups test -x "$VAR" 2>/dev/null; then
        echo www-data
    else
        id -un
    fi
}

as_web_user() {
    if is_root && [ "$(web_user)" = www-data ]; then
        setpriv --reuid=www-data --regid=www-data --init-groups env HOME=/tmp "$@"
    else
        "$@"
    fi
}

# A command of the application, as the web server would run it.
artisan() { (cd "$ROOT" && SKIVO_VAR="$VAR" as_web_user php artisan "$@"); }

# One of them whose output matters only when it fails. $1: what failed then; $2: the name of its log.
artisan_or_fail() {
    local failed="$1" log="$VAR/run/$2.log"
    shift 2
    artisan "$@" >"$log" 2>&1 || { cat "$log" >&2; fail "$failed What went wrong is above."; }
}

# True when nothing listens on $2 of address $1.
port_is_free() { php -r '$s = @stream_socket_server("tcp://$argv[1]:$argv[2]"); exit($s ? 0 : 1);' "$1" "$2"; }

# A port that nothing listens on, and none of those that the system hands to outgoing connections, which come and go
# unseen; nor $1, which somebody else is about to take.
free_port() {
    php -r '
        do {
            $port = random_int(10000, 32000);
            $server = $port === (int) ($argv[1] ?? 0) ? false : @stream_socket_server("tcp://127.0.0.1:$port");
        } while (!$server);
        echo $port;' "${1:-}"
}

random_word() { php -r 'echo bin2hex(random_bytes(16));'; }

setting() { [ ! -f "$VAR/.env" ] || sed -n -e "s/^$1=\"\(.*\)\"\$/\1/p;t" -e "s/^$1=//p" "$VAR/.env" | tail -n 1; }

# The same as the application has it: from the environment, or else from .env.
given() {
    local held="${!1:-}"
    echo "${held:-$(setting "$1")}"
}

set_setting() {
    local held
    held="$(grep -v "^$1=" "$VAR/.env" 2>/dev/null || true)"
    printf '%s\n%s=%s\n' "$held" "$1" "$2" | sed '/^$/d' >"$VAR/.env.new"
    chmod 600 "$VAR/.env.new"
    mv "$VAR/.env.new" "$VAR/.env"
    is_root && [ "$(web_user)" = www-data ] && chown www-data: "$VAR/.env"
    return 0
}

# Folders and a settings file for the application under $VAR. $1: the environment's name.
# Other users may pass through the folders on the way to what is theirs, and read nothing.
prepare_var() {
    mkdir -p "$VAR/run/nginx" "$VAR/cache" "$VAR/storage/logs" "$VAR/storage/framework/views" "$VAR/storage/framework/sessions" "$VAR/storage/framework/cache/data"
    chmod 711 "$VAR" "$VAR/run" "$VAR/run/nginx"
    # The tests' folders are deeper inside of it.
    local folder="$VAR"
    while [ "${folder#"$ROOT/var/"}" != "$folder" ]; do
        folder="$(dirname "$folder")"
        chmod 711 "$folder"
    done
    # An older Skivo let every user of the machine read these.
    find "$VAR" -maxdepth 1 -mindepth 1 \( -name cache -o -name storage -o -name backups -o -name '.*' \) -exec chmod -R go-rwx {} +
    find "$VAR/run" -type f -exec chmod go-rwx {} +
    if is_root && [ "$(web_user)" = www-data ]; then
        chown -R www-data: "$VAR/cache" "$VAR/storage"
    fi
    [ -n "$(setting APP_KEY)" ] || set_setting APP_KEY "base64:$(php -r 'echo base64_encode(random_bytes(32));')"
    set_setting APP_ENV "$1"
    set_setting DB_PERSISTENT true
}

# One of start, stop, backup, restore and delete at a time. Whatever they leave running must not inherit the lock.
take_lock() {
    mkdir -p "$VAR/run"
    exec 9>"$VAR/run/lock"
    flock -n 9 && return
    say "Another bin/skivo is at work here; waiting for it to finish"
    flock -w 300 9 || fail "another bin/skivo has been at work here for five minutes. See what it does, or end it, then try again."
}
