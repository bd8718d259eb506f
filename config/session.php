<?php

declare(strict_types=1);

return [
    // Nothing is kept in a session but its token: an encrypted cookie holds that without a file written in every request.
    'driver' => env('SESSION_DRIVER', 'cookie'),
    'lifetime' => (int) env('SESSION_LIFETIME', 60 * 24 * 7),
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'connection' => env('SESSION_CONNECTION'),
    'table' => 'sessions',
    'store' => null,
    'lottery' => [2, 100],
    'cookie' => env('SESSION_COOKIE', 'impa-session'),
    'path' => '/',
    'domain' => null,
    // Over TLS it goes over TLS alone; with accounts there is nothing else.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'strict',
    'partitioned' => false,
];
