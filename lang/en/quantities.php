<?php

declare(strict_types=1);

return [
    // Less than two fingers feel.
    'pinch' => 'a pinch',
    'under' => 'under %s',
    'and' => ' and ',
];
