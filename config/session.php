<?php

declare(strict_types=1);

return [
    // Nothing is kept in a session but its token: an encrypted cookie holds that without a file written in every request.
    'driver' => env('SESSION_DRIVER', 'cookie'),
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'connection' => null,
    'table' => 'sessions',
    'store' => null,
    'lottery' => [2, 100],
    'cookie' => 'impa-session',
    'path' => '/',
    'domain' => null,
    'secure' => false,
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
