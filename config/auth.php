<?php

declare(strict_types=1);

use App\Models\Felter;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'felters'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'felters']],
    'providers' => ['felters' => ['driver' => 'eloquent', 'model' => Felter::class]],
    // A link to choose a password holds for an hour, and is sent at most once a minute.
    'passwords' => ['felters' => ['provider' => 'felters', 'table' => 'password_links', 'expire' => 60, 'throttle' => 60]],
];
