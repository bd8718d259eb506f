<?php

declare(strict_types=1);

return [
    'anchor' => [
        'the-crown' => 'the crown',
        'right' => '{name}, right',
        'left' => '{name}, left',
        'foot' => 'the foot of {name}',
        'foot-left' => 'the foot of {name}, left',
        'foot-right' => 'the foot of {name}, right',
    ],
];
