<?php

declare(strict_types=1);

return [
    'pinch' => 'a pinch',
    'under' => 'under %s',
    'and' => ' and ',
    'or' => ', or ',
];
