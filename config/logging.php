<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/impa.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 7],
    ],
];
