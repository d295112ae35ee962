# bin/skivo backup FILE: everything recorded, in one file.
set -euo pipefail
. "$ROOT/deploy/common.sh"

file="${1:-}"
[ -n "$file" ] || fail "backup wants the name of a file to write, for instance: bin/skivo backup skivo-$(date +%F).dump"
[ $# = 1 ] || fail "backup takes one file, and nothing more."
[ ! -e "$file" ] || fail "$file is there already. Choose another name; nothing was written."
[ -d "$(dirname "$file")" ] || fail "there is no folder $(dirname "$file")."
[ -e "$(cluster_dir)/PG_VERSION" ] || fail "there is nothing to back up: Skivo has not been started here yet."

take_lock
was_running=yes
database_is_running || was_running=no
database_up
database_dump "$file" || fail "the backup could not be written. Is there room for it?"
say "Backed up: $(database_holds skivo)."
say "It is in $file ($(du -h "$file" | cut -f1))."
[ "$was_running" = yes ] || database_down
