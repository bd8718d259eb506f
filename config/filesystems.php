<?php

declare(strict_types=1);

return [
    'default' => 'pictures',
    'disks' => [
        // The framework's own, which would be reached from outside.
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false],
        'pictures' => ['driver' => 'local', 'root' => storage_path('pictures'), 'throw' => true],
    ],
];
