# bin/skivo test: everything, on a throwaway database and the real web server.
set -euo pipefail
export VAR="$ROOT/var/test"
. "$ROOT/deploy/common.sh"

suite=all
filter=()
while [ $# -gt 0 ]; do
    case "$1" in
        --suite) suite="${2:-}"; shift 2 || fail "--suite wants a name: static, core, reference, feature, shell or browser." ;;
        --filter) filter=(--filter "${2:-}"); shift 2 || fail "--filter wants a part of a test's name." ;;
        *) fail "test does not know '$1'. See bin/skivo help." ;;
    esac
done
case "$suite" in
    all | static | core | reference | feature | shell | browser) ;;
    *) fail "there is no suite '$suite'. Suites: static, core, reference, feature, shell, browser." ;;
esac

need_packages $RUN_PACKAGES $TEST_PACKAGES
build dev
cd "$ROOT"

static_checks() {
    say "== Packages, types, layers, style, scripts that decide something"
    composer --no-interaction check
}

phpunit() { SKIVO_VAR="$VAR" php vendor/bin/phpunit --testsuite "$1" "${filter[@]}"; }

# What needs no browser runs beside what does, each on a core and a database of its own. Both are run to their end.
everything() {
    local beside_log="$VAR/run/beside.log" beside status=0
    (
        failed=0
        # The analysis first: it asks for most memory, and the browser beside it is only starting then.
        static_checks || failed=1
        say "== Tests of the core, references, bin/skivo"
        phpunit core,reference,shell || failed=1
        say "== Tests of the application"
        VAR="$VAR/application"
        mkdir -p "$VAR"
        throwaway_up testing
        umask 022
        phpunit feature || failed=1
        exit $failed
    ) >"$beside_log" 2>&1 9>&- &
    beside=$!
    say "== Tests through the pages"
    (umask 022; phpunit browser) || status=$?
    wait "$beside" || status=$?
    cat "$beside_log"
    return $status
}

case "$suite" in
    static)
        static_checks
        ;;
    core | reference | shell)
        phpunit "$suite"
        ;;
    *)
        throwaway_up testing
        [ "$suite" = feature ] || chromedriver_up
        if [ "$suite" = all ]; then
            everything
        else
            # What the tests write, the server reads; none of it is anybody's.
            umask 022
            phpunit "$suite"
        fi
        ;;
esac
