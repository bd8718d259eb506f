<?php

declare(strict_types=1);

return [
    'name' => 'Impa',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8765'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'maintenance' => ['driver' => 'file'],

    // The names under which the app answers. Others are refused, so that no foreign page can reach it.
    'known_hosts' => explode(',', (string) env('IMPA_HOSTS', '127.0.0.1,localhost,[::1]')),

    // Whether only this machine may ask. Turned off behind a web server that does its own asking.
    'only_this_machine' => (bool) env('IMPA_ONLY_THIS_MACHINE', true),
];
