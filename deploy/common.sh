# What the scripts beside it share. Everything that runs lives under $VAR: pg/ (database), run/ (pid files, configuration,
# logs), storage/ and cache/ (the application's), backups/, .env (its settings). Sourced, never run.

# No other user of the machine reads what is written here; what they must pass through or read is opened one by one.
umask 077

VAR="${VAR:-$ROOT/var}"

export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1 DEBIAN_FRONTEND=noninteractive

say() { printf '%s\n' "$*"; }
fail() {
    printf 'skivo: %s\n' "$*" >&2
    exit 1
}

. "$ROOT/deploy/lib/packages.sh"
. "$ROOT/deploy/lib/settings.sh"
. "$ROOT/deploy/lib/database.sh"
. "$ROOT/deploy/lib/server.sh"
