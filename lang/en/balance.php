<?php

declare(strict_types=1);

return [
    'balance-refused' => [
        'this-cannot-be-tried' => 'This cannot be tried',
        'is-no-cure' => '"{kind}" is no cure of this figure: it stands firmly already, or that is not enough.',
    ],
    'cures' => [
        'flatten' => 'flatten the base by {by}',
        'weight' => 'hide {weight} more low {where}',
        'both' => 'flatten the base by {by}, and hide {weight} more low {where}',
        'washers' => 'hide {count, plural, one {a washer} other {# washers}} of {weight} in the foot, {where}',
        'carry-forwards' => 'set the {part} {by} farther forwards',
        'carry-backwards' => 'set the {part} {by} farther back',
        'carry-right' => 'set the {part} {by} farther to the right',
        'carry-left' => 'set the {part} {by} farther to the left',
        'feet' => 'set the feet {by} farther apart',
        'none' => 'None of the usual cures is enough: give it a wider base, or let it sit, lie or hang.',
    ],
    'footing' => [
        'forwards' => 'move the feet {by} forwards',
        'back' => 'move the feet {by} back',
        'longer' => 'make the feet {to} long from front to back',
        'flatter' => 'flatten the base by {by}',
    ],
    'where' => [
        'middle' => 'in the middle',
        'front' => 'at the front',
        'back' => 'at the back',
        'right' => 'at the right',
        'left' => 'at the left',
    ],
    'way' => [
        'flatten' => 'Flatten',
        'weight' => 'Weight',
        'washers' => 'Washers',
        'carry' => 'Carry',
        'feet' => 'Feet',
        'both' => 'Both',
        'footing' => 'Footing',
    ],
];
