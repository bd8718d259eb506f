<?php

declare(strict_types=1);

use Monolog\Formatter\JsonFormatter;

return [
    'default' => 'daily',
    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/impa.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 7],
        // One line of JSON for each request, without anyone's data: which route, how it went, how long it took.
        'requests' => [
            'driver' => 'daily',
            'path' => storage_path('logs/requests.log'),
            'level' => 'info',
            'days' => 14,
            'formatter' => JsonFormatter::class,
        ],
        'letters' => ['driver' => 'single', 'path' => storage_path('logs/letters.log'), 'permission' => 0600],
    ],
];
