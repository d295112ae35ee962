# bin/skivo backup FILE: everything recorded, in one file.
set -euo pipefail
. "$ROOT/deploy/common.sh"

file=""
into=""
keep=14
while [ $# -gt 0 ]; do
    case "$1" in
        --into) into="${2:-}"; [ -n "$into" ] || fail "--into wants a folder."; shift 2 ;;
        --keep) keep="${2:-}"; [[ "$keep" =~ ^[1-9][0-9]*$ ]] || fail "--keep wants a whole number from 1."; shift 2 ;;
        *) [ -z "$file" ] || fail "backup takes one file, and nothing more."; file="$1"; shift ;;
    esac
done
if [ -n "$into" ]; then
    [ -z "$file" ] || fail "backup wants a file, or --into a folder; not both."
    mkdir -p "$into"
    file="$into/skivo-$(date +%F).dump"
fi
[ -n "$file" ] || fail "backup wants the name of a file to write, for instance: bin/skivo backup skivo-$(date +%F).dump"
# The same night again: the newer one takes its place, once it is whole.
[ -n "$into" ] || [ ! -e "$file" ] || fail "$file is there already. Choose another name; nothing was written."
[ -d "$(dirname "$file")" ] || fail "there is no folder $(dirname "$file")."
database_is_elsewhere || [ -e "$(cluster_dir)/PG_VERSION" ] || fail "there is nothing to back up: Skivo has not been started here yet."

take_lock
was_running=yes
database_is_running || was_running=no
database_up
database_dump "$file" || fail "the backup could not be written. Is there room for it?"
say "Backed up: $(database_holds "$(database_name)")."
say "It is in $file ($(du -h "$file" | cut -f1))."
if [ -n "$into" ]; then
    mapfile -t old < <(find "$into" -maxdepth 1 -name 'skivo-????-??-??.dump' | LC_ALL=C sort -r | tail -n "+$((keep + 1))")
    [ "${#old[@]}" = 0 ] || { rm -f "${old[@]}"; say "Older ones are gone: ${#old[@]}."; }
fi
[ "$was_running" = yes ] || database_down
