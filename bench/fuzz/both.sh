#!/usr/bin/env bash
# What fuzz.php throws, on SQLite and then on a PostgreSQL that is made for it and thrown away; its words are passed on.
. "$(dirname "$0")/../../bin/common.sh"
fuzz() { php -d memory_limit=1G -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M bench/fuzz/fuzz.php "$@"; }
say 'On SQLite'
fuzz "$@" || fell=yes
trap throw_away EXIT
throwaway_postgres
say 'On PostgreSQL'
export DB_CONNECTION=pgsql DB_HOST=127.0.0.1 DB_PORT=$PGPORT DB_DATABASE=impa_1 DB_USERNAME=impa DB_PASSWORD=
fuzz "$@" || fell=yes
throw_away
[ -z "${fell:-}" ] || stop 'Something broke.'
