<?php

declare(strict_types=1);

return [
    'default' => 'pictures',
    'disks' => [
        'pictures' => ['driver' => 'local', 'root' => storage_path('pictures'), 'throw' => true],
    ],
];
