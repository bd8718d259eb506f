#!/usr/bin/env bash
# The demo on a database of its own, for the browser tests, with a way in for tablets beside it; gone afterwards.
. "$(dirname "$0")/../../bin/common.sh"
home=$(mktemp -d)
port=${IMPA_TEST_PORT:-8799}
export DB_DATABASE=$home/test.sqlite APP_KEY=base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=
export IMPA_SHARE=https://127.0.0.1:$((port + 1)) IMPA_SHARE_HOSTS=127.0.0.1
touch "$DB_DATABASE"
make_folders
php artisan migrate --force --quiet
php artisan db:seed --force --quiet
php artisan impa:share 127.0.0.1
node bin/share.mjs --listen=127.0.0.1 --port=$((port + 1)) --to="$port" --folder=storage/share &
serve "$port"
