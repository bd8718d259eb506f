#!/usr/bin/env bash
# The demo in a folder of its own, for the browser tests. Whoever starts it lets the folder go.
#   serve.sh lay HOME          lays the demo out there, to be copied
#   serve.sh serve HOME PORT   serves what lies there, with a way in for tablets at the next port
. "$(dirname "$0")/../../bin/common.sh"
home=$2
export LARAVEL_STORAGE_PATH=$home DB_DATABASE=$home/impa.sqlite APP_KEY=base64:MDEyMzQ1Njc4OTAxMjM0NTY3ODkwMTIzNDU2Nzg5MDE=
if [ "$1" = lay ]; then
    make_folders
    mkdir -p "$home"/{pictures,logs,framework/{sessions,views,cache/data}}
    touch "$DB_DATABASE"
    php artisan migrate --force --quiet
    php artisan db:seed --force --quiet
    php artisan impa:share 127.0.0.1 >/dev/null
    # All of it in one file, so that it can be put back by copying that.
    php -r '(new PDO("sqlite:".$argv[1]))->exec("pragma wal_checkpoint(truncate)");' "$DB_DATABASE"
    exit
fi
export IMPA_SHARE=https://127.0.0.1:$(($3 + 1)) IMPA_SHARE_HOSTS=127.0.0.1
node bin/share.mjs --listen=127.0.0.1 --port=$(($3 + 1)) --to="$3" --folder="$home/share" &
serve "$3"
