# Debian's packages, Composer's and npm's, and the built styles and scripts. Sourced by common.sh.

RUN_PACKAGES="php8.2-cli php8.2-fpm php8.2-pgsql php8.2-curl php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-zip postgresql-15 nginx-light unzip"
TEST_PACKAGES="chromium chromium-driver python3-numpy python3-scipy poppler-utils ffmpeg r-base-core openssl pgbouncer redis-server php8.2-redis"

package_is_there() { dpkg-query -W -f='${Status}' "$1" 2>/dev/null | grep -q '^install ok installed'; }

# Runs apt-get, waiting while another program holds its locks: a fresh Debian updates itself in its first minutes.
# Its words are in $VAR/run/apt.log.
apt_get() {
    local every="${APT_WAITS_S:-5}" tries=180 is_said=""
    while true; do
        # What a package installs is for every user of the machine.
        (umask 022; "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get "$@") >"$VAR/run/apt.log" 2>&1 && return
        grep -qiE 'could not get lock|unable to (acquire|lock)|is another process using it' "$VAR/run/apt.log" && [ $tries -gt 0 ] || return 1
        [ -n "$is_said" ] || say "  (another program is installing packages on this machine; waiting for it to finish)"
        is_said=yes
        tries=$((tries - 1))
        sleep "$every"
    done
}

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
    apt_get update || say "  (the package lists could not be refreshed; trying with the old ones)"
    apt_get install -y --no-install-recommends "${missing[@]}" \
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

# Installs Composer's packages at the versions that php-packages.txt lists. $1: dev, for those of the tests too.
php_packages() {
    if [ -f vendor/autoload.php ] && stamp_holds vendor/.skivo-stamp composer.json php-packages.txt && { [ "$1" != dev ] || [ -f vendor/.skivo-dev ]; }; then
        return
    fi
    say "Installing PHP packages"
    local options=(--no-progress --no-plugins) without="" lost tries=5
    if [ "$1" = dev ] || [ -f vendor/.skivo-dev ]; then
        mkdir -p vendor
        touch vendor/.skivo-dev
    else
        options+=(--no-dev)
    fi
    local pins
    while true; do
        mapfile -t pins < <(php deploy/packages.php pins "$without")
        composer update "${options[@]}" "${pins[@]}" >"$VAR/run/composer.log" 2>&1 && break
        lost="$(php deploy/packages.php lost "$VAR/run/composer.log" "$without")"
        tries=$((tries - 1))
        # A registry that broke off is asked again.
        if [ -z "$lost" ] && [ $tries -gt 0 ] && grep -q "curl error\|timed out" "$VAR/run/composer.log"; then
            sleep 3
            continue
        fi
        [ -n "$lost" ] && [ $tries -gt 0 ] \
            || { tail -n 15 "$VAR/run/composer.log" >&2; fail "the PHP packages could not be installed. What Composer said is above and in $VAR/run/composer.log."; }
        say "  (not to be had at the version listed, so another is taken: ${lost//,/, })"
        without="$without,$lost"
    done
    # Some archives carry files that only their owner may read; the web server's user must read all.
    chmod -R go+rX vendor
    set_stamp vendor/.skivo-stamp composer.json php-packages.txt
}

# Composer's and npm's packages, and the built styles and scripts; each only when something changed.
# $1: dev, with what the tests need. None of it is secret, and the web server's user must read it.
build() {
    mkdir -p "$VAR/run"
    (
        umask 022
        cd "$ROOT"
        mkdir -p bootstrap/cache
        php_packages "${1:-}"
        if ! { [ -d node_modules/vite ] && stamp_holds node_modules/.skivo-stamp package.json package-lock.json; }; then
            say "Installing JavaScript packages"
            npm ci --no-audit --no-fund >"$VAR/run/npm.log" 2>&1 \
                || { tail -n 15 "$VAR/run/npm.log" >&2; fail "the JavaScript packages could not be installed. What npm said is above and in $VAR/run/npm.log."; }
            set_stamp node_modules/.skivo-stamp package.json package-lock.json
        fi
        mapfile -t sources < <(find resources vite.config.js package-lock.json -type f | LC_ALL=C sort)
        if ! { [ -f public/build/manifest.json ] && stamp_holds public/build/.skivo-stamp "${sources[@]}"; }; then
            say "Building styles and scripts"
            npm run build >"$VAR/run/build.log" 2>&1 \
                || { tail -n 25 "$VAR/run/build.log" >&2; fail "the styles and scripts could not be built. What the build said is above and in $VAR/run/build.log."; }
            set_stamp public/build/.skivo-stamp "${sources[@]}"
            chmod -R go+rX public/build
        fi
    ) || exit 1
}
