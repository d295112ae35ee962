# The database cluster, who may do what in it, and what it holds. Sourced by common.sh.
#
# Two roles: skivo owns everything and migrates, and is used by these scripts alone; skivo_app is the application's, and
# may read and write rows. The owner's password is in $VAR/.owner, the application's in $VAR/.env.
#
# Where DB_HOST is given, somebody else keeps the database: nothing of it is created, started, stopped or migrated here, and what is
# asked of it is asked as the application.

PG_BIN=/usr/lib/postgresql/15/bin
LEAST_ROOM_MB="${LEAST_ROOM_MB:-64}"

# Where the cluster lives: under $VAR, unless we are root and the database's user may not go there.
cluster_dir() {
    if is_root && ! setpriv --reuid=postgres --regid=postgres --init-groups test -x "$VAR" 2>/dev/null; then
        echo "/var/lib/postgresql/skivo-$(printf %s "$VAR" | sha256sum | cut -c1-12)"
    else
        echo "$VAR/pg"
    fi
}

database_is_elsewhere() { [ -n "$(given DB_HOST)" ]; }

# Where it is, and who asks it.
database_host() { given DB_HOST | grep . || echo 127.0.0.1; }
database_port() { if database_is_elsewhere; then given DB_PORT | grep . || echo 5432; else setting DB_PORT; fi; }
database_user() { if database_is_elsewhere; then given DB_USERNAME | grep . || echo skivo_app; else echo skivo; fi; }
database_secret() { if database_is_elsewhere; then given DB_PASSWORD; else cat "$VAR/.owner" 2>/dev/null; fi; }
database_sslmode() { if database_is_elsewhere; then given DB_SSLMODE | grep . || echo disable; else echo disable; fi; }

# Its name there: another only where somebody else keeps it.
database_name() { if database_is_elsewhere; then given DB_DATABASE | grep . || echo skivo; else echo skivo; fi; }

# Runs one of PostgreSQL's programs, $1, on it.
database_program() {
    local program="$1" certificate=()
    shift
    [ -z "$(given DB_SSLROOTCERT)" ] || certificate=("PGSSLROOTCERT=$(given DB_SSLROOTCERT)")
    # A password is no argument, not even env's: every user of the machine sees those.
    (
        export PGPASSWORD PGSSLMODE "${certificate[@]}"
        PGPASSWORD="$(database_secret)" PGSSLMODE="$(database_sslmode)"
        exec "$PG_BIN/$program" -h "$(database_host)" -p "$(database_port)" -U "$(database_user)" "$@"
    )
}

database_answers() {
    [ -n "$(database_port)" ] && "$PG_BIN/pg_isready" -q -h "$(database_host)" -p "$(database_port)"
}

database_is_running() { database_is_elsewhere && return; as_database_user "$PG_BIN/pg_ctl" status -D "$(cluster_dir)" >/dev/null 2>&1; }

# Whether process $1 serves the database in folder $2: a number that was a database's may be another program's by now.
is_database_of() {
    [ "$(cat "/proc/$1/comm" 2>/dev/null)" = postgres ] && tr '\0' '\n' <"/proc/$1/cmdline" 2>/dev/null | grep -qxF -- "$2"
}

# What serves a connection goes on for a while when its database was killed, and keeps a new one from starting.
end_orphans() {
    local dir signal process tries name
    dir="$(readlink -f "$1")"
    for signal in TERM QUIT KILL; do
        tries=20
        while [ $tries -gt 0 ]; do
            local orphans=()
            for process in /proc/[0-9]*; do
                { read -r name <"$process/comm"; } 2>/dev/null && [ "$name" = postgres ] && [ "$(readlink "$process/cwd" 2>/dev/null)" = "$dir" ] \
                    && orphans+=("${process#/proc/}")
            done
            [ ${#orphans[@]} -gt 0 ] || return 0
            [ $tries != 20 ] || kill "-$signal" "${orphans[@]}" 2>/dev/null || true
            sleep 0.25
            tries=$((tries - 1))
        done
    done
}

# A database that runs without answering is one that was killed: what is left of it is cleared away.
clear_dead_database() {
    local dir="$1" tries=10 pid
    pid="$(head -n 1 "$dir/postmaster.pid" 2>/dev/null || true)"
    if [ -n "$pid" ] && ! is_database_of "$pid" "$dir"; then
        # Its number lies there, and it is gone: nothing of that number is to be asked or ended.
        rm -f "$dir/postmaster.pid"
        end_orphans "$dir"
    fi
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

database_start() {
    local dir="$1" port
    clear_dead_database "$dir"
    database_is_running && return
    port="$(setting DB_PORT)"
    { [ -n "$port" ] && port_is_free 127.0.0.1 "$port"; } || { port="$(free_port "${SITE_PORT:-}")"; set_setting DB_PORT "$port"; }
    # No Unix socket: its path may be too long. Its log: a file a day of the week, and nothing in it of what was stored.
    local options=(
        -c listen_addresses=127.0.0.1 -c "port=$port" -c "unix_socket_directories=''" -c log_file_mode=0600
        -c logging_collector=on -c log_directory=log -c log_filename=skivo-%a.log -c log_truncate_on_rotation=on -c log_rotation_age=1d
        -c log_min_error_statement=panic -c log_error_verbosity=terse
    )
    # As the database's own user, so that the log is its own too.
    as_database_user "$PG_BIN/pg_ctl" start -w -t 60 -D "$dir" -l "$dir/start.log" -o "${options[*]} ${PG_OPTIONS:-}" >/dev/null 2>&1 9>&-
}

database_did_not_start() {
    tail -n 15 "$1/start.log" >&2
    tail -q -n 15 "$1"/log/*.log 2>/dev/null | tail -n 15 >&2
    fail "the database did not start. Its last words are above and in $1."
}

# A new cluster in $1.
database_create() {
    local dir="$1" secret
    say "Creating the database"
    [ "$dir" = "$VAR/pg" ] || say "  (the database's user may not enter $VAR, so it lives in $dir)"
    rm -rf "$dir"
    mkdir -p "$dir"
    chmod 700 "$dir"
    is_root && chown postgres: "$dir"
    [ -s "$VAR/.owner" ] || random_word >"$VAR/.owner"
    secret="$(mktemp)"
    cat "$VAR/.owner" >"$secret"
    is_root && chown postgres: "$secret"
    as_database_user "$PG_BIN/initdb" -D "$dir" -U skivo --auth=scram-sha-256 --pwfile="$secret" \
        --encoding=UTF8 --locale=C.UTF-8 >"$VAR/run/initdb.log" 2>&1 \
        || { rm -f "$secret"; tail -n 15 "$VAR/run/initdb.log" >&2; fail "the database could not be created. What initdb said is above."; }
    rm -f "$secret"
    database_start "$dir" || database_did_not_start "$dir"
    database_sql postgres "CREATE DATABASE skivo" >/dev/null
    as_database_user touch "$dir/skivo-ready"
}

# A cluster that does not say that it is ours and whole: it is taken as it is if it holds a Skivo, and else moved out of
# the way. A folder that holds a database is never deleted.
database_doubt() {
    local dir="$1" aside
    if database_start "$dir" && database_owner_is_known && database_exists skivo \
        && [ "$(database_sql skivo "SELECT to_regclass('migrations') IS NOT NULL")" = t ]; then
        say "The mark that the database is whole was missing. It holds $(database_holds skivo), and is kept."
        as_database_user touch "$dir/skivo-ready"
        return
    fi
    database_is_running && as_database_user "$PG_BIN/pg_ctl" stop -m fast -w -D "$dir" >/dev/null
    aside="$dir-aside-$(date +%Y%m%d-%H%M%S)"
    mv "$dir" "$aside"
    say "What was in $dir is no whole database of Skivo. Nothing of it was deleted: it is in $aside now."
}

# A full disk says so itself, before something else fails without words.
need_room() {
    local folder free
    for folder in "$@"; do
        while [ ! -e "$folder" ]; do
            folder="$(dirname "$folder")"
        done
        free="$(df -Pm "$folder" | awk 'NR == 2 { print $4 }')"
        [ "${free:-0}" -ge "$LEAST_ROOM_MB" ] || fail "the disk that holds $folder is full: ${free:-0} MB are free, and Skivo needs $LEAST_ROOM_MB MB. Make room, then try again. Nothing was changed."
    done
}

# Starts the cluster, creating it where there is none yet.
database_up() {
    local dir said
    if database_is_elsewhere; then
        said="$(database_sql "$(database_name)" "SELECT 1" 2>&1)" || fail "the database at $(database_host), port $(database_port), does not let $(database_user) in: $said
Look at DB_HOST, DB_PORT, DB_DATABASE, DB_USERNAME and DB_PASSWORD in $VAR/.env. Nothing was changed."
        return
    fi
    dir="$(cluster_dir)"
    need_room "$VAR" "$dir"
    if [ ! -f "$dir/skivo-ready" ] && [ -e "$dir/PG_VERSION" ]; then
        database_doubt "$dir"
    fi
    if [ ! -f "$dir/skivo-ready" ]; then
        database_create "$dir"
    fi
    database_start "$dir" || database_did_not_start "$dir"
    database_answers || fail "the database is running but does not answer on port $(setting DB_PORT). Stop it with bin/skivo stop and start again."
    database_owner_is_known || fail "the password of the database's owner, in $VAR/.owner, is not the one it was made with. Put that file back."
    database_is_there
    database_roles
}

# Whether the owner's password opens the cluster. An older Skivo gave it to the application, in .env.
database_owner_is_known() {
    local shared
    [ -f "$VAR/.owner" ] && database_sql postgres "SELECT 1" >/dev/null 2>&1 && return
    shared="$(setting DB_PASSWORD)"
    [ -z "$(setting DB_USERNAME)" ] && [ -n "$shared" ] || return 1
    random_word >"$VAR/.owner.new"
    PGPASSWORD="$shared" "$PG_BIN/psql" -h 127.0.0.1 -p "$(setting DB_PORT)" -U skivo -d postgres -X -q -v ON_ERROR_STOP=1 -f - \
        <<<"ALTER ROLE skivo PASSWORD '$(cat "$VAR/.owner.new")'" >/dev/null 2>&1 || return 1
    mv "$VAR/.owner.new" "$VAR/.owner"
}

# A restore that was cut short between two steps: what was put aside comes back. Never an empty database in its place.
database_is_there() {
    database_exists skivo && return
    if ! database_exists skivo_replaced; then
        [ -z "${SKIVO_MAY_BE_GONE:-}" ] || return 0
        fail "the database 'skivo' is not there any more. Restore a backup with bin/skivo restore FILE."
    fi
    database_sql postgres "ALTER DATABASE skivo_replaced RENAME TO skivo" >/dev/null
    say "A restore was cut short: what was there before it is back."
}

# The application's role, which owns nothing.
database_roles() {
    # A .env of another day may have an older password: then both get a new one.
    if [ "$(setting DB_USERNAME)" != skivo_app ] || ! PGPASSWORD="$(setting DB_PASSWORD)" "$PG_BIN/psql" -h 127.0.0.1 -p "$(setting DB_PORT)" \
        -U skivo_app -d postgres -X -q -t -c "SELECT 1" >/dev/null 2>&1; then
        local secret
        secret="$(random_word)"
        database_sql_kept_secret postgres "DO \$\$ BEGIN
            IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'skivo_app') THEN CREATE ROLE skivo_app LOGIN; END IF;
            ALTER ROLE skivo_app NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD '$secret'; END \$\$" >/dev/null
        set_setting DB_PASSWORD "$secret"
        set_setting DB_USERNAME skivo_app
    fi
}

database_down() {
    local dir
    ! database_is_elsewhere || return 0
    dir="$(cluster_dir)"
    [ -d "$dir" ] || return 0
    clear_dead_database "$dir"
    database_is_running && as_database_user "$PG_BIN/pg_ctl" stop -m fast -w -D "$dir" >/dev/null
    return 0
}

# ---------------------------------------------------------------- as its owner

# Runs statements $2 in database $1, all or none, and prints what they answer.
database_sql() {
    database_program psql -d "$1" -X -q -t -A -v ON_ERROR_STOP=1 -c "$2"
}

# The same, of statements that have a secret in them: those are no argument.
database_sql_kept_secret() {
    database_program psql -d "$1" -X -q -t -A -1 -v ON_ERROR_STOP=1 -f - <<<"$2"
}

database_exists() { [ "$(database_sql postgres "SELECT count(*) FROM pg_database WHERE datname = '$1'")" = 1 ]; }

database_drop() { database_sql postgres "DROP DATABASE IF EXISTS $1" >/dev/null; }

# What a database holds, in words.
database_holds() {
    database_sql "$1" "SELECT (SELECT count(*) FROM users) || ' educators, ' || (SELECT count(*) FROM challenges) || ' challenges, ' || (SELECT count(*) FROM groups)
        || ' groups, ' || (SELECT count(*) FROM runs) || ' runs' || coalesce((SELECT ', the newest of ' || to_char(max(logged_at), 'YYYY-MM-DD HH24:MI') FROM runs HAVING count(*) > 0), '')"
}

# Writes everything into file $1: whole, or not there at all.
database_dump() {
    local from
    # A dump wants a connection of its own all along, which a pooler may give by another name.
    from="$(given DB_BACKUP_DATABASE)"
    database_program pg_dump -Fc --no-owner --no-acl -f "$1.part" "${from:-$(database_name)}" \
        || { rm -f "$1.part"; return 1; }
    mv "$1.part" "$1"
}

# Puts backup $1 into the empty database $2.
database_load() {
    database_program pg_restore --no-owner --no-acl --exit-on-error -d "$2" "$1"
}

# A copy of everything beside the database, named after what it was taken before ($1). Prints where it is.
database_keep_copy() {
    local kept
    mkdir -p "$VAR/backups"
    kept="$VAR/backups/before-$1-$(date +%Y%m%d-%H%M%S).dump"
    database_dump "$kept" || return 1
    echo "$kept"
}

# The migrations that database $1 has had, and those that this Skivo knows; one a line.
migrations_of() {
    [ "$(database_sql "$1" "SELECT to_regclass('migrations') IS NOT NULL")" = t ] || return 0
    database_sql "$1" "SELECT migration FROM migrations" | LC_ALL=C sort
}
migrations_known() { (cd "$ROOT/database/migrations" && printf '%s\n' *.php | sed 's/\.php$//' | LC_ALL=C sort); }

# True when database $1 was made by a newer Skivo than this one.
database_is_newer() { [ -n "$(LC_ALL=C comm -23 <(migrations_of "$1") <(migrations_known))" ]; }

database_is_older() { [ -n "$(LC_ALL=C comm -13 <(migrations_of "$1") <(migrations_known))" ]; }

# Brings database $1, which must be there, up to date, and lets the application at its rows. By its owner, whose password
# the web server's user never sees: so with a folder of its own.
database_migrate() {
    database_is_elsewhere || database_exists "$1" || return 1
    if database_is_older "$1"; then
        local owner="$VAR/owner" host port user secret sslmode
        # Each on its own: what one of them says depends on DB_HOST.
        host="$(database_host)" port="$(database_port)"
        user="$(database_user)" secret="$(database_secret)" sslmode="$(database_sslmode)"
        rm -rf "$owner"
        mkdir -p "$owner/cache" "$owner/storage/logs" "$owner/storage/framework/views" "$owner/storage/framework/cache/data"
        (cd "$ROOT" && SKIVO_VAR="$owner" APP_ENV=production APP_KEY="$(setting APP_KEY)" DB_HOST="$host" DB_PORT="$port" DB_DATABASE="$1" \
            DB_USERNAME="$user" DB_PASSWORD="$secret" DB_SSLMODE="$sslmode" CACHE_STORE=file php artisan migrate --force) >"$VAR/run/migrate.log" 2>&1 || return 1
        rm -rf "$owner"
    fi
    database_sql "$1" "GRANT USAGE ON SCHEMA public TO skivo_app; GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO skivo_app;
        REVOKE INSERT, UPDATE, DELETE ON migrations FROM skivo_app; GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO skivo_app" >/dev/null
}
