#!/usr/bin/env bash
# The demo on a database of its own, for the browser tests; gone afterwards.
. "$(dirname "$0")/../../bin/common.sh"
home=$(mktemp -d)
export DB_DATABASE=$home/test.sqlite APP_KEY=base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=
touch "$DB_DATABASE"
make_folders
php artisan migrate --force --quiet
php artisan db:seed --force --quiet
serve "${IMPA_TEST_PORT:-8799}"
