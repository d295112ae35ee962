# bin/skivo test: everything, on a throwaway database and the real web server.
set -euo pipefail
export VAR="$ROOT/var/test"
. "$ROOT/deploy/common.sh"

suite=all
filter=()
quick=no
while [ $# -gt 0 ]; do
    case "$1" in
        --suite) suite="${2:-}"; shift 2 || fail "--suite wants a name: static, core, reference, feature, shell or browser." ;;
        --filter) filter=(--filter "${2:-}"); shift 2 || fail "--filter wants a part of a test's name." ;;
        --classes)
            [[ "${2:-}" =~ ^[1-9][0-9]{0,3}$ ]] || fail "--classes wants how many times as many, from 1 to 9999."
            export SKIVO_CLASSES="$2"
            shift 2
            ;;
        --long) export SKIVO_LONG=1; shift ;;
        --quick) quick=yes; shift ;;
        *) fail "test does not know '$1'. See bin/skivo help." ;;
    esac
done
case "$suite" in
    all | static | core | reference | feature | shell | browser) ;;
    *) fail "there is no suite '$suite'. Suites: static, core, reference, feature, shell, browser." ;;
esac

need_packages $RUN_PACKAGES $TEST_PACKAGES
build dev
[ "$suite" = all ] || VAR="$VAR/$suite"
cd "$ROOT"

static_checks() {
    say "== Packages, types, layers, style, scripts that decide something"
    composer --no-interaction check
}

phpunit() {
    local groups=(--exclude-group long)
    [ -z "${SKIVO_LONG:-}" ] || groups=()
    SKIVO_VAR="$VAR" php vendor/bin/phpunit --testsuite "$1" "${groups[@]}" "${filter[@]}"
}

# Two suites at a time, the longest first, each with a database and logs of its own. All are run to their end.
everything() {
    mkdir -p "$VAR"
    local suites=(browser shell feature reference core static)
    [ "$quick" = no ] || suites=(feature core static)
    printf '%s\n' "${suites[@]}" | xargs -P 2 -I{} bash -c '
        echo "== $2: begun"
        log="$1/$2.log" status=0
        "$0" test --suite "$2" "${@:3}" >"$log" 2>&1 || status=$?
        echo "== $2"
        cat "$log"
        exit $status' "$ROOT/bin/skivo" "$VAR" {} "${filter[@]}"
}

case "$suite" in
    static)
        static_checks
        ;;
    core | reference | shell)
        phpunit "$suite"
        ;;
    all)
        everything
        ;;
    *)
        throwaway_up testing
        [ "$suite" = feature ] || chromedriver_up
        # What the tests write, the server reads; none of it is anybody's.
        umask 022
        phpunit "$suite"
        ;;
esac
