# Shared by bin/demo and bin/test: what a fresh machine needs, each added only where it is missing.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."

say() { printf '\033[1m- %s\033[0m\n' "$*"; }
stop() { printf '%s\n' "$*" >&2; exit 1; }

# apt-get, tried again for ten minutes where another one holds its locks. It can wait for one of them by itself, for the lists' not.
apt_patiently() {
    local tries=0 said
    said=$(mktemp)
    until apt-get -o DPkg::Lock::Timeout=60 "$@" 2> "$said"; do
        if [ $((tries += 1)) -ge 60 ] || ! grep -qiE 'lock|another process' "$said"; then
            cat "$said" >&2
            rm -f "$said"
            return 1
        fi
        [ "$tries" -gt 1 ] || say 'Another apt-get is at work; waiting for it'
        sleep 10
    done
    rm -f "$said"
}

# The Debian packages named, if a probe says that one is missing.
need_packages() {
    local missing=()
    local pair
    for pair in "$@"; do
        # package=probe, the probe a command that fails where the package is missing
        bash -c "${pair#*=}" >/dev/null 2>&1 || missing+=("${pair%%=*}")
    done
    [ ${#missing[@]} -eq 0 ] && return
    if [ "$(id -u)" -ne 0 ]; then
        stop "These Debian packages are missing. Run this line as root, then start again:
    apt-get update && apt-get install -y ${missing[*]}"
    fi
    say "Adding Debian packages: ${missing[*]}"
    apt_patiently update -qq
    DEBIAN_FRONTEND=noninteractive apt_patiently install -y -qq "${missing[@]}" >/dev/null
}

php_has() { echo "php -r 'exit(extension_loaded(\"$1\") ? 0 : 1);'"; }

PHP_PACKAGES=(
    "php8.2-gd=$(php_has gd)" "php8.2-sqlite3=$(php_has pdo_sqlite)" "php8.2-curl=$(php_has curl)" "php8.2-zip=$(php_has zip)"
    "php8.2-bcmath=$(php_has bcmath)" "php8.2-mbstring=$(php_has mbstring)" "php8.2-intl=$(php_has intl)" "php8.2-xml=$(php_has dom)" "unzip=command -v unzip"
    "librsvg2-bin=command -v rsvg-convert"
)

need_tools() {
    local tool
    for tool in php composer node npm; do
        command -v "$tool" >/dev/null || stop "$tool is not on this machine. Impa needs PHP 8.2 (CLI), Composer, Node 20 and npm."
    done
}

# True where the stamp is older than any of the files, or not there.
stale() {
    local stamp=$1
    shift
    [ ! -e "$stamp" ] && return 0
    [ -n "$(find "$@" -newer "$stamp" -print -quit 2>/dev/null)" ]
}

install_php_libraries() {
    stale vendor/.stamp composer.json || return 0
    say 'Fetching PHP libraries'
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet
    touch vendor/.stamp
}

install_npm_libraries() {
    stale node_modules/.stamp package.json package-lock.json || return 0
    say 'Fetching front-end libraries'
    npm ci --no-audit --no-fund --loglevel=error >/dev/null
    touch node_modules/.stamp
}

# Side by side: each of them keeps one core busy.
install_libraries() {
    install_php_libraries &
    install_npm_libraries
    wait $!
}

build_screens() {
    stale public/build/manifest.json resources/app vite.config.ts package.json || return 0
    say 'Building the screens'
    npx --no-install vite build --logLevel error
}

# The folders that are written to, and a key of this machine's own.
make_folders() {
    mkdir -p storage/framework/{sessions,views,cache/data} storage/logs storage/pictures bootstrap/cache
    [ -s .env ] || printf 'APP_KEY=base64:%s\n' "$(php -r 'echo base64_encode(random_bytes(32));')" > .env
}

# The store, brought up to date; where it is new, with the demo in it.
prepare_store() {
    local pending
    # The database itself is asked what it holds: a stamp beside it would outlive it.
    [ -e storage/impa.sqlite ] || touch storage/impa.sqlite
    pending=$(php -r '
        $store = new PDO("sqlite:".$argv[1], null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_SILENT]);
        $rows = $store->query("select migration from migrations");
        $done = $rows ? $rows->fetchAll(PDO::FETCH_COLUMN) : [];
        $files = array_map(fn (string $file): string => basename($file, ".php"), glob("database/migrations/*.php"));
        echo $done === [] ? "all" : count(array_diff($files, $done));' storage/impa.sqlite)
    if [ "$pending" != 0 ]; then
        say 'Preparing the database'
        php artisan migrate --force --quiet
        if [ "$pending" = all ]; then
            say 'Laying out the demo'
            php artisan db:seed --force --quiet
        fi
    fi
}

# True where nothing answers at a port of this machine.
is_free() { php -r 'exit(@fsockopen("127.0.0.1", (int) $argv[1], $e, $s, 1) ? 1 : 0);' "$1" 2>/dev/null; }

# Whatever ends this script, a process that leads its group ends with it: even where it is ended without a word, the other end of a
# pipe notices. (By its number another process may go by then.)
ends_with_this() {
    local leader=$1 alive
    exec {alive}> >(trap '' INT HUP TERM; cat >/dev/null; kill -TERM -- "-$leader" >/dev/null 2>&1)
}

# The embedded server with a warm cache and JIT; on 127.0.0.1 only. Settings, routes and code are read once, when it starts: after
# a change to them it is started again; with "again" as a second word they are read at each request. Only what it starts sees these
# settings; console and tests read their own.
serve() {
    local reads_again=0
    export APP_CONFIG_CACHE="storage/framework/served-$1/config.php" APP_ROUTES_CACHE="storage/framework/served-$1/routes.php"
    mkdir -p "storage/framework/served-$1"
    # Those of an older Impa would be read by what writes them anew.
    rm -f "$APP_CONFIG_CACHE" "$APP_ROUTES_CACHE"
    if [ "${2:-}" = again ]; then
        reads_again=1
    else
        php artisan config:cache --quiet
        php artisan route:cache --quiet
    fi
    cd public
    # It leads a group of its own: its workers end with it.
    PHP_CLI_SERVER_WORKERS=4 setsid php -d opcache.enable=1 -d opcache.enable_cli=1 \
        -d opcache.validate_timestamps=$reads_again -d opcache.revalidate_freq=0 \
        -d opcache.jit=tracing -d opcache.jit_buffer_size=128M -d opcache.jit_max_root_traces=8192 -d opcache.jit_max_side_traces=1024 \
        -d expose_php=0 -d memory_limit=512M -d post_max_size=0 -d max_execution_time=60 \
        -S "127.0.0.1:$1" ../vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php &
    local server=$!
    end_server() { trap - EXIT INT TERM HUP; kill -TERM -- "-$server" 2>/dev/null; exit 0; }
    trap end_server EXIT INT TERM HUP
    ends_with_this "$server"
    wait "$server"
}

# A PostgreSQL of its own on loopback, of the user that Debian made for it where this is root, with a database for each core; it need
# not outlive a fall of the machine. Whoever starts it calls throw_away at the end.
pg_home=
throwaway_postgres() {
    pg_home=$(mktemp -d)
    pg_bin=$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)
    as_pg=(env)
    [ "$(id -u)" -ne 0 ] || { as_pg=(setpriv --reuid=postgres --regid=postgres --init-groups); chown postgres "$pg_home"; }
    export PGHOST=127.0.0.1 PGPORT=${IMPA_TEST_PGPORT:-5499} PGUSER=impa PGPASSWORD=
    local settings="-p $PGPORT -k $pg_home -c listen_addresses=127.0.0.1 -c fsync=off -c full_page_writes=off -c synchronous_commit=off"
    (
        cd /
        "${as_pg[@]}" "$pg_bin/initdb" -D "$pg_home/data" -A trust -U impa -E UTF8 --no-sync >/dev/null
        "${as_pg[@]}" "$pg_bin/pg_ctl" -D "$pg_home/data" -w -s -l "$pg_home/log" -o "$settings" start
    )
    for i in $(seq "$(nproc)"); do createdb "impa_$i"; done
}
throw_away() {
    [ -n "$pg_home" ] || return 0
    (cd / && "${as_pg[@]}" "$pg_bin/pg_ctl" -D "$pg_home/data" -m immediate -s stop) || true
    rm -rf "$pg_home"
    pg_home=
}
