# Shared by the scripts beside it: packages, builds, the database cluster and the web server.
# Everything that runs lives under $VAR: pg/ (database), run/ (pid files, configuration, logs),
# storage/ and cache/ (the application's), .env (its settings). Sourced, never run.

VAR="${VAR:-$ROOT/var}"
PG_BIN=/usr/lib/postgresql/15/bin
FPM=/usr/sbin/php-fpm8.2
NGINX=/usr/sbin/nginx

export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1 DEBIAN_FRONTEND=noninteractive

say() { printf '%s\n' "$*"; }
fail() {
    printf 'skivo: %s\n' "$*" >&2
    exit 1
}

is_root() { [ "$(id -u)" = 0 ]; }

# ---------------------------------------------------------------- packages and builds

RUN_PACKAGES="php8.2-cli php8.2-fpm php8.2-pgsql php8.2-curl php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-zip postgresql-15 nginx-light unzip"
TEST_PACKAGES="chromium chromium-driver python3-numpy python3-scipy poppler-utils"

package_is_there() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q '^install ok installed'; }

# Installs the Debian packages among the arguments that are missing.
need_packages() {
    local missing=() package
    for package in "$@"; do
        package_is_there "$package" || missing+=("$package")
    done
    # A machine may have these from elsewhere than Debian: what counts is that they answer.
    command -v composer >/dev/null || missing+=(composer)
    command -v node >/dev/null || missing+=(nodejs)
    command -v npm >/dev/null || missing+=(npm)
    [ ${#missing[@]} = 0 ] && return

    command -v apt-get >/dev/null || fail "this needs Debian 12: apt-get is not here, and these packages are missing: ${missing[*]}."
    local as_root=()
    if ! is_root; then
        command -v sudo >/dev/null || fail "these Debian packages are missing: ${missing[*]}. Ask whoever looks after this machine to run, as root: apt-get install ${missing[*]}"
        as_root=(sudo)
    fi
    say "Installing Debian packages: ${missing[*]}"
    mkdir -p "$VAR/run"
    "${as_root[@]}" apt-get update >"$VAR/run/apt.log" 2>&1 || say "  (the package lists could not be refreshed; trying with the old ones)"
    "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "${missing[@]}" >>"$VAR/run/apt.log" 2>&1 \
        || { tail -n 15 "$VAR/run/apt.log" >&2; fail "the packages could not be installed. What apt-get said is above and in $VAR/run/apt.log."; }
}

# True when the files given have not changed since stamp $1 was set.
stamp_holds() {
    local stamp="$1"
    shift
    [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$(sha256sum "$@" | sha256sum)" ]
}

set_stamp() {
    local stamp="$1"
    shift
    sha256sum "$@" | sha256sum >"$stamp"
}

# Composer's and npm's packages, and the built styles and scripts; each only when something changed.
build() {
    cd "$ROOT"
    mkdir -p "$VAR/run" bootstrap/cache
    if ! { [ -f vendor/autoload.php ] && stamp_holds vendor/.skivo-stamp composer.json; }; then
        say "Installing PHP packages"
        composer update --no-progress --no-plugins >"$VAR/run/composer.log" 2>&1 \
            || { tail -n 15 "$VAR/run/composer.log" >&2; fail "the PHP packages could not be installed. What Composer said is above and in $VAR/run/composer.log."; }
        # Some archives carry files that only their owner may read; the web server's user must read all.
        chmod -R go+rX vendor
        set_stamp vendor/.skivo-stamp composer.json
    fi
    if ! { [ -d node_modules/vite ] && stamp_holds node_modules/.skivo-stamp package.json package-lock.json; }; then
        say "Installing JavaScript packages"
        npm ci --no-audit --no-fund >"$VAR/run/npm.log" 2>&1 \
            || { tail -n 15 "$VAR/run/npm.log" >&2; fail "the JavaScript packages could not be installed. What npm said is above and in $VAR/run/npm.log."; }
        set_stamp node_modules/.skivo-stamp package.json package-lock.json
    fi
    local sources
    mapfile -t sources < <(find resources vite.config.js package-lock.json -type f | LC_ALL=C sort)
    if ! { [ -f public/build/manifest.json ] && stamp_holds public/build/.skivo-stamp "${sources[@]}"; }; then
        say "Building styles and scripts"
        npm run build >"$VAR/run/build.log" 2>&1 \
            || { tail -n 25 "$VAR/run/build.log" >&2; fail "the styles and scripts could not be built. What the build said is above and in $VAR/run/build.log."; }
        set_stamp public/build/.skivo-stamp "${sources[@]}"
        chmod -R go+rX public/build
    fi
}

# ---------------------------------------------------------------- who runs what

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

artisan() { (cd "$ROOT" && SKIVO_VAR="$VAR" as_web_user php artisan "$@"); }

# ---------------------------------------------------------------- settings

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'; }

# True when nothing listens on $2 of address $1.
port_is_free() { php -r '$s = @stream_socket_server("tcp://$argv[1]:$argv[2]"); exit($s ? 0 : 1);' "$1" "$2"; }

random_word() { php -r 'echo bin2hex(random_bytes(16));'; }

setting() { [ -f "$VAR/.env" ] && sed -n "s/^$1=//p" "$VAR/.env" | tail -n 1; }

set_setting() {
    local held
    held="$(grep -v "^$1=" "$VAR/.env" 2>/dev/null || true)"
    (umask 077; printf '%s\n%s=%s\n' "$held" "$1" "$2" | sed '/^$/d' >"$VAR/.env.new")
    mv "$VAR/.env.new" "$VAR/.env"
    is_root && [ "$(web_user)" = www-data ] && chown www-data: "$VAR/.env"
    return 0
}

# Folders and a settings file for the application under $VAR. $1: the environment's name.
prepare_var() {
    mkdir -p "$VAR/run" "$VAR/cache" "$VAR/storage/logs" "$VAR/storage/framework/views" "$VAR/storage/framework/sessions" "$VAR/storage/framework/cache/data"
    chmod 755 "$VAR" "$VAR/run"
    if is_root && [ "$(web_user)" = www-data ]; then
        chown -R www-data: "$VAR/cache" "$VAR/storage"
    fi
    [ -n "$(setting APP_KEY)" ] || set_setting APP_KEY "base64:$(php -r 'echo base64_encode(random_bytes(32));')"
    [ -n "$(setting DB_PASSWORD)" ] || set_setting DB_PASSWORD "$(random_word)"
    set_setting APP_ENV "$1"
    set_setting DB_PERSISTENT true
}

# ---------------------------------------------------------------- the database cluster

# Where the cluster lives: under $VAR, unless we are root and the database's user may not go there.
cluster_dir() {
    if is_root && ! setpriv --reuid=postgres --regid=postgres --init-groups test -x "$VAR" 2>/dev/null; then
        echo "/var/lib/postgresql/skivo-$(printf %s "$VAR" | sha256sum | cut -c1-12)"
    else
        echo "$VAR/pg"
    fi
}

database_answers() {
    [ -n "$(setting DB_PORT)" ] && "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$(setting DB_PORT)"
}

database_is_running() { as_database_user "$PG_BIN/pg_ctl" status -D "$(cluster_dir)" >/dev/null 2>&1; }

# A database that runs without answering is one that was killed: what is left of it is cleared away.
clear_dead_database() {
    local dir="$1" tries=10 pid
    while database_is_running && [ $tries -gt 0 ]; do
        database_answers && return
        sleep 0.3
        tries=$((tries - 1))
    done
    database_is_running || return 0
    say "The database was left half-dead; starting it afresh"
    as_database_user "$PG_BIN/pg_ctl" stop -m immediate -t 10 -D "$dir" >/dev/null 2>&1 || true
    pid="$(head -n 1 "$dir/postmaster.pid" 2>/dev/null || true)"
    # Dead, but not yet buried by the system.
    if [ -n "$pid" ] && grep -q '^State:[[:space:]]*Z' "/proc/$pid/status" 2>/dev/null; then
        rm -f "$dir/postmaster.pid"
    fi
}

# Creates the cluster when it is not there (an unfinished one is made anew) and starts it.
database_up() {
    local dir
    dir="$(cluster_dir)"
    if [ ! -f "$dir/skivo-ready" ]; then
        say "Creating the database"
        [ "$dir" = "$VAR/pg" ] || say "  (the database's user may not enter $VAR, so it lives in $dir)"
        database_is_running && as_database_user "$PG_BIN/pg_ctl" stop -m immediate -D "$dir" >/dev/null
        rm -rf "$dir"
        mkdir -p "$dir"
        chmod 700 "$dir"
        is_root && chown postgres: "$dir"
        local secret
        secret="$(mktemp)"
        setting DB_PASSWORD >"$secret"
        is_root && chown postgres: "$secret"
        as_database_user "$PG_BIN/initdb" -D "$dir" -U skivo --auth=scram-sha-256 --pwfile="$secret" \
            --encoding=UTF8 --locale=C.UTF-8 >"$VAR/run/initdb.log" 2>&1 \
            || { rm -f "$secret"; tail -n 15 "$VAR/run/initdb.log" >&2; fail "the database could not be created. What initdb said is above."; }
        rm -f "$secret"
    fi
    clear_dead_database "$dir"
    if ! database_is_running; then
        local port
        port="$(setting DB_PORT)"
        { [ -n "$port" ] && port_is_free 127.0.0.1 "$port"; } || { port="$(free_port)"; set_setting DB_PORT "$port"; }
        # As the database's own user, so that the log is its own too. No Unix socket: its path may be too long.
        as_database_user "$PG_BIN/pg_ctl" start -w -t 60 -D "$dir" -l "$dir/skivo.log" \
            -o "-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories='' ${PG_OPTIONS:-}" >/dev/null 2>&1 \
            || { tail -n 15 "$dir/skivo.log" >&2; fail "the database did not start. Its last words are above and in $dir/skivo.log."; }
    fi
    database_answers || fail "the database is running but does not answer on port $(setting DB_PORT). Stop it with bin/skivo stop and start again."
    if [ ! -f "$dir/skivo-ready" ]; then
        PGPASSWORD="$(setting DB_PASSWORD)" "$PG_BIN/createdb" -h 127.0.0.1 -p "$(setting DB_PORT)" -U skivo skivo 2>/dev/null || true
        touch "$dir/skivo-ready"
    fi
}

database_down() {
    local dir
    dir="$(cluster_dir)"
    [ -d "$dir" ] && database_is_running && as_database_user "$PG_BIN/pg_ctl" stop -m fast -w -D "$dir" >/dev/null
    return 0
}

# Runs one statement $2 in database $1 and prints what it answers.
database_sql() {
    PGPASSWORD="$(setting DB_PASSWORD)" "$PG_BIN/psql" -h 127.0.0.1 -p "$(setting DB_PORT)" -U skivo -d "$1" -X -q -t -A -v ON_ERROR_STOP=1 -c "$2"
}

# What a database holds, in words.
database_holds() {
    database_sql "$1" "SELECT (SELECT count(*) FROM users) || ' educators, ' || (SELECT count(*) FROM challenges) || ' challenges, ' || (SELECT count(*) FROM groups)
        || ' groups, ' || (SELECT count(*) FROM runs) || ' runs' || coalesce((SELECT ', the newest of ' || to_char(max(logged_at), 'YYYY-MM-DD HH24:MI') FROM runs HAVING count(*) > 0), '')"
}

# Writes everything into file $1.
database_dump() {
    PGPASSWORD="$(setting DB_PASSWORD)" "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$(setting DB_PORT)" -U skivo -Fc --no-owner -f "$1" skivo
}

# ---------------------------------------------------------------- the web server

pid_runs() { [ -f "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null; }

stop_by_pid_file() {
    local file="$1" tries=50 pid
    pid_runs "$file" || { rm -f "$file"; return 0; }
    # Read once: a server removes its own pid file on its way out.
    pid="$(cat "$file" 2>/dev/null || true)"
    [ -n "$pid" ] || return 0
    kill -QUIT "$pid" 2>/dev/null || true
    while kill -0 "$pid" 2>/dev/null && [ $tries -gt 0 ]; do
        sleep 0.1
        tries=$((tries - 1))
    done
    kill -TERM "$pid" 2>/dev/null || true
    rm -f "$file"
}

fill_template() {
    sed -e "s|@ROOT@|$ROOT|g" -e "s|@VAR@|$VAR|g" -e "s|@SOCKET@|$(fpm_socket)|g" \
        -e "s|@HOST@|$1|g" -e "s|@PORT@|$2|g" -e "s|@USER_LINE@|$3|g" "$4"
}

# A Unix socket's path may hold 107 bytes at most.
fpm_socket() {
    local socket="$VAR/run/php.sock"
    [ ${#socket} -le 100 ] || socket="/tmp/skivo-$(printf %s "$VAR" | sha256sum | cut -c1-12).sock"
    echo "$socket"
}

# Serves on address $1, port $2.
server_up() {
    local host="$1" port="$2" user_fpm="" user_nginx="" root_flag=()
    server_down
    port_is_free "$host" "$port" || fail "port $port on $host is taken by another program, or is not this machine's. Choose another, for instance: bin/skivo start --port $((port + 1))"
    if is_root; then
        user_fpm="user = $(web_user)\\ngroup = $(id -gn "$(web_user)")\\nlisten.owner = $(web_user)"
        user_nginx="user $(web_user) $(id -gn "$(web_user)");"
        if [ "$(web_user)" = root ]; then
            root_flag=(-R)
            [ -n "${QUIET_ROOT:-}" ] || say "Note: this checkout is closed to other users, so the web server runs as root. Put it where www-data can read it to avoid that."
        fi
    fi
    fill_template "$host" "$port" "$user_fpm" "$ROOT/deploy/php-fpm.conf" >"$VAR/run/php-fpm.conf"
    fill_template "$host" "$port" "$user_nginx" "$ROOT/deploy/nginx.conf" >"$VAR/run/nginx.conf"
    mkdir -p "$VAR/run/nginx"
    PHP_INI_SCAN_DIR=":$ROOT/deploy/php" "$FPM" "${root_flag[@]}" -y "$VAR/run/php-fpm.conf" >"$VAR/run/start.log" 2>&1 \
        || { tail -n 10 "$VAR/run/start.log" >&2; fail "PHP-FPM did not start. What it said is above."; }
    "$NGINX" -p "$VAR/run/nginx" -e "$VAR/run/nginx/error.log" -c "$VAR/run/nginx.conf" >"$VAR/run/start.log" 2>&1 \
        || { tail -n 10 "$VAR/run/start.log" >&2; server_down; fail "nginx did not start. What it said is above."; }
}

server_down() {
    stop_by_pid_file "$VAR/run/nginx.pid"
    stop_by_pid_file "$VAR/run/php-fpm.pid"
}

# A whole environment that leaves nothing behind: database, migrated, and served on a free port.
# $1: the environment's name. Sets SITE to its address.
throwaway_up() {
    server_down
    database_down 2>/dev/null || true
    rm -rf "$VAR" "$(cluster_dir)"
    mkdir -p "$VAR"
    trap throwaway_down EXIT
    prepare_var "$1"
    # Nothing of it outlives the run, so it need not be safe on disk.
    PG_OPTIONS="-c fsync=off -c synchronous_commit=off -c full_page_writes=off" database_up
    artisan migrate --force >"$VAR/run/migrate.log" 2>&1 || { cat "$VAR/run/migrate.log" >&2; fail "the database could not be migrated."; }
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
    chromedriver --port="$port" --log-level=SEVERE >"$VAR/run/chromedriver.log" 2>&1 &
    CHROMEDRIVER_PID=$!
    until ! port_is_free 127.0.0.1 "$port"; do
        tries=$((tries - 1))
        [ $tries -gt 0 ] || fail "ChromeDriver did not start. See $VAR/run/chromedriver.log."
        sleep 0.1
    done
    export DRIVER="http://127.0.0.1:$port"
}
