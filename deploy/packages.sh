# bin/skivo packages: takes the newest PHP packages that composer.json allows, and lists them in php-packages.txt.
set -euo pipefail
. "$ROOT/deploy/common.sh"

need_packages $RUN_PACKAGES
cd "$ROOT"
umask 022
mkdir -p "$VAR/run" vendor
touch vendor/.skivo-dev
composer update --no-progress --no-plugins
chmod -R go+rX vendor
php deploy/packages.php list >php-packages.txt
# What is known against them, where the registry says so; an answer is no condition.
composer audit --no-plugins --abandoned=ignore || say "Look at what is said above: a package has a known fault, or the registry told nothing."
set_stamp vendor/.skivo-stamp composer.json php-packages.txt
say "php-packages.txt lists what is installed. Run bin/skivo test before you commit it."
