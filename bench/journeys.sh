#!/usr/bin/env bash
# Journeys of a felter by chance, each with 30 acts and every joint after each (docs/joints.md): bench/journeys.sh [COUNT] [FROM]
. "$(dirname "$0")/../bin/common.sh"
count=${1:-200} from=${2:-1}
for ((seed = from; seed < from + count; seed += 10)); do
    left=$((from + count - seed))
    IMPA_JOURNEYS=$((left < 10 ? left : 10)) IMPA_JOURNEYS_FROM=$seed php -d opcache.enable_cli=1 -d opcache.jit=tracing \
        -d opcache.jit_buffer_size=64M vendor/bin/pest tests/Feature/Shelf/JourneyTest.php |
        grep -E "seed [0-9]+|Tests:|Journey.php:[0-9]|Joints.php:[0-9]" || true
done
