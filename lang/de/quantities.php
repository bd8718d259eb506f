<?php

declare(strict_types=1);

return [
    // Less than two fingers feel.
    'pinch' => 'eine Prise',
    'under' => 'unter %s',
    'and' => ' und ',
];
