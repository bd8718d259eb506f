<?php

declare(strict_types=1);

// Argon2id with what OWASP's Password Storage Cheat Sheet asks at least (19 MiB, 2 passes, 1 thread); from memory.
return [
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('IMPA_HASH_KB', 19456), 'time' => (int) env('IMPA_HASH_PASSES', 2), 'threads' => 1, 'verify' => true],
    'rehash_on_login' => true,
];
