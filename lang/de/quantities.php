<?php

declare(strict_types=1);

return [
    'pinch' => 'eine Prise',
    'under' => 'unter %s',
    'and' => ' und ',
    'or' => ' oder ',
];
