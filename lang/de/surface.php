<?php

declare(strict_types=1);

return [
    'anchor' => [
        'the-crown' => 'der Scheitel',
        'right' => '{name}, rechts',
        'left' => '{name}, links',
        'foot' => 'der Ansatz von „{name}“',
        'foot-left' => 'der Ansatz von „{name}“, links',
        'foot-right' => 'der Ansatz von „{name}“, rechts',
    ],
];
